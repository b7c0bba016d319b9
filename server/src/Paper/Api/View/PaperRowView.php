<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class PaperRowView
{
    /**
     * @param string|null $editionId the latest edition, which can be handed out
     * @param bool        $ahead     the draft has changed since that edition
     * @param int         $remarks   of colleagues, that are open
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $sections,
        public int $questions,
        public ?string $editionId,
        public ?int $edition,
        public bool $ahead,
        public int $handouts,
        public string $updatedBy,
        public string $updatedAt,
        public int $remarks,
    ) {
    }
}
