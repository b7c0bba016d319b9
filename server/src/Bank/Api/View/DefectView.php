<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

use ChalkLadder\Core\Item\Defect;

final readonly class DefectView
{
    /** @param string|null $mend what would mend it without further questions */
    public function __construct(public string $message, public bool $blocks, public string $where, public ?string $mend)
    {
    }

    public static function of(Defect $defect): self
    {
        return new self($defect->message, $defect->blocks, $defect->where, $defect->mend);
    }
}
