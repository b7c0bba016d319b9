<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

use ChalkLadder\Server\Platform\OpenApi\Shape;

final readonly class PaperView
{
    /**
     * @param array<string, mixed>                $paper
     * @param array<string, array<string, mixed>> $items the questions it names, by bank id
     * @param list<ChangedQuestionView> $changed questions that the bank has since corrected
     */
    public function __construct(
        public string $id,
        #[Shape('Paper')]
        public array $paper,
        public int $version,
        #[Shape('ItemMap')]
        public array $items,
        public ProofView $proof,
        public ?string $editionId,
        public ?int $edition,
        public bool $ahead,
        public array $changed,
        public string $savedAt,
    ) {
    }
}
