<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class EditionsView
{
    /**
     * @param list<DifferenceView>|null $draft    what the draft changes in the latest edition; null where there is none
     * @param list<EditionLineView>     $editions the latest first
     */
    public function __construct(public ?array $draft, public array $editions)
    {
    }
}
