<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

use ChalkLadder\Core\Item\Defect;

final readonly class DefectView
{
    public function __construct(public string $message, public bool $blocks, public string $where)
    {
    }

    public static function of(Defect $defect): self
    {
        return new self($defect->message, $defect->blocks, $defect->where);
    }
}
