<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** What became of a paper when made-up students sat it. */
final readonly class RehearsalView
{
    /**
     * @param int                  $questions in the paper
     * @param int                  $known     of them have a record of answers, which sets their difficulty
     * @param int                  $timed     of them have a record of times
     * @param list<WayView>        $ways      the most travelled first
     * @param list<LengthView>     $lengths   the shortest first
     * @param list<AbilityView>    $abilities fifths of the students, the least able first
     * @param list<RouteCheckView> $routes
     * @param list<float>          $seconds   that a tenth, half, nine tenths of the students stay within
     */
    public function __construct(
        public int $students,
        public int $questions,
        public int $known,
        public int $timed,
        public array $ways,
        public array $lengths,
        public array $abilities,
        public array $routes,
        public array $seconds,
    ) {
    }
}
