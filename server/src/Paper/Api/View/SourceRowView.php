<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class SourceRowView
{
    /**
     * @param string $entryId its place in the paper
     * @param string $begins  the first words of its passage, without their marks
     */
    public function __construct(
        public string $paperId,
        public string $paper,
        public string $entryId,
        public string $title,
        public string $begins,
        public bool $hasPicture,
    ) {
    }
}
