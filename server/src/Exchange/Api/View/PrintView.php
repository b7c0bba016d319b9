<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

/** A paper as it is printed. Pictures come along as data, since the printing browser holds no session. */
final readonly class PrintView
{
    /**
     * @param array<string, mixed>                $paper
     * @param array<string, array<string, mixed>> $items    by entry id
     * @param array<string, string>               $pictures data URLs by file id
     * @param array<string, list<string>>         $written  questions by section, in the order that conditions count by, whatever the version
     */
    public function __construct(
        #[Shape('Paper')]
        public array $paper,
        #[Shape('ItemMap')]
        public array $items,
        public array $pictures,
        public string $points,
        public array $written,
    ) {
    }
}
