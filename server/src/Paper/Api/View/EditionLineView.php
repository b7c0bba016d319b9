<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class EditionLineView
{
    /** @param list<DifferenceView>|null $differences from the edition before; null for the first */
    public function __construct(
        public string $id,
        public int $number,
        public string $madeAt,
        public string $madeBy,
        public ?array $differences,
    ) {
    }
}
