<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** How far markers agree on one criterion of a rubric. */
final readonly class CriterionAgreementView
{
    /**
     * @param FigureView         $kappa    quadratically weighted
     * @param FigureView         $alpha    ordinal
     * @param list<SeverityView> $severity in points of the rubric
     */
    public function __construct(
        public string $name,
        public FigureView $exact,
        public FigureView $adjacent,
        public FigureView $kappa,
        public FigureView $alpha,
        public FigureView $icc,
        public array $severity,
    ) {
    }
}
