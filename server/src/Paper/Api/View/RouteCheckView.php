<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** What a route does with those who leave its section, and how often it sends one elsewhere than their ability alone would. */
final readonly class RouteCheckView
{
    /**
     * @param string              $sectionId   of the section it leaves
     * @param string              $section     its title
     * @param list<ExitFlowView>  $exits       in their order, the last way among them
     * @param string|null         $cut         the share below which its one exit is taken; null: it asks for more than that
     * @param list<CutView>       $cuts        other cuts, ascending, the present one among them
     * @param ShareView|null      $withTwoMore misplaced if the section had two more such questions
     */
    public function __construct(
        public string $sectionId,
        public string $section,
        public int $students,
        public ShareView $below,
        public ShareView $above,
        public array $exits,
        public ?string $cut,
        public array $cuts,
        public ?ShareView $withTwoMore,
    ) {
    }
}
