<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Server\Marking\Api\View\EffectView;
use ChalkLadder\Server\Sitting\ReadModel\Remarked;

/** What another key makes of the answers that were given. */
final readonly class KeyEffect
{
    /**
     * @param list<EffectView>                  $gains
     * @param list<EffectView>                  $loses
     * @param int                               $same     answers whose credit stays
     * @param int                               $byHand   answers that a person has marked, which are left alone
     * @param int                               $returned among the changed, those whose work is back with their students
     * @param list<Remarked>  $altered  of which anything changes that is stored
     * @param list<Remarked>  $marked   of which the marks change
     */
    public function __construct(
        public array $gains,
        public array $loses,
        public int $same,
        public int $byHand,
        public int $returned,
        public array $altered,
        public array $marked,
    ) {
    }
}
