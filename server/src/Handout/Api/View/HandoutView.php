<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\View;

/** A handout with its counts. Status: hidden, scheduled, open, closed. */
final readonly class HandoutView
{
    /**
     * @param int                  $latest  number of the latest edition of its paper
     * @param list<string>         $classes names
     * @param array<string, mixed> $conditions
     * @param string|null          $follows title of the handout that it follows by itself
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $paperId,
        public int $edition,
        public int $latest,
        public array $classes,
        #[\ChalkLadder\Server\Platform\OpenApi\Shape('Conditions')]
        public array $conditions,
        public bool $visible,
        public string $status,
        public ?string $opensAt,
        public ?string $closesAt,
        public ?string $closedAt,
        public string $madeAt,
        public int $expected,
        public int $open,
        public int $handedIn,
        public int $returned,
        public int $waiting,
        public ?string $group,
        public ?string $follows,
    ) {
    }
}
