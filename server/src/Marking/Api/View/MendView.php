<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

use ChalkLadder\Server\Paper\Api\View\DifferenceView;

/** What putting another edition in the place of the one that is sat does, or would do. */
final readonly class MendView
{
    /**
     * @param string               $from        id of the edition that is sat
     * @param int                  $fromNumber  its number
     * @param string               $to          id of the other; the same where no later one is published
     * @param list<DifferenceView> $differences
     * @param list<string>         $refusals    why it cannot be done
     * @param int                  $atWork      sittings that are open
     * @param int                  $touched     sittings with answers to questions that ask something else by now
     * @param int                  $aside       answers to questions that are gone, which are kept aside
     * @param int                  $returned    sittings that are back with their students
     * @param list<MendEffectView> $effects     handed-in work whose marks change
     */
    public function __construct(
        public string $from,
        public int $fromNumber,
        public string $to,
        public int $toNumber,
        public array $differences,
        public array $refusals,
        public int $atWork,
        public int $touched,
        public int $aside,
        public int $returned,
        public array $effects,
    ) {
    }
}
