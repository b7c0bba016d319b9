<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Server\Bank\Api\View\DefectView;

/** What the proof says of a draft: defects, and the range of points and lengths over all routes. */
final readonly class ProofView
{
    /**
     * @param list<DefectView>       $defects
     * @param list<SectionExitsView> $exits   by section that a sound route leaves
     * @param string                 $mastery its mastery rule in words, or ''
     */
    public function __construct(
        public array $defects,
        public bool $mayPublish,
        public string $leastPoints,
        public string $mostPoints,
        public int $leastQuestions,
        public int $mostQuestions,
        public array $exits,
        public string $mastery,
    ) {
    }

    /** @param list<Defect> $further that the paper alone does not show */
    public static function of(PaperProof $proof, string $mastery, array $further = []): self
    {
        return new self(
            array_map(static fn (Defect $d): DefectView => DefectView::of($d), [...$proof->defects, ...$further]),
            $proof->mayPublish(),
            NumberText::write($proof->points[0]),
            NumberText::write($proof->points[1]),
            $proof->length[0],
            $proof->length[1],
            array_map(
                static fn (string $section, array $exits): SectionExitsView => new SectionExitsView(
                    $section,
                    array_map(ExitProofView::of(...), $exits),
                ),
                array_map(strval(...), array_keys($proof->exits)),
                array_values($proof->exits),
            ),
            $mastery,
        );
    }
}
