<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** How far markers agree on one open question. */
final readonly class AgreementView
{
    /**
     * @param list<RubricLineView>         $rubric
     * @param int                          $answers  marked by two or more
     * @param list<string>                 $markers  names
     * @param list<CriterionAgreementView> $criteria
     * @param list<DisagreementView>       $apart    answers on which they differ
     */
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public array $rubric,
        public int $answers,
        public array $markers,
        public array $criteria,
        public array $apart,
    ) {
    }
}
