<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** What two counts of a question said in one lesson. */
final readonly class RoomCountView
{
    /**
     * @param bool     $byHands    raised hands, else answers on devices of those who are in both counts
     * @param int      $firstRight of `first` before the talk
     * @param int|null $nowRight   of `now` after it; null where it was not counted
     */
    public function __construct(
        public string $handoutId,
        public string $handout,
        public string $madeAt,
        public bool $byHands,
        public int $firstRight,
        public int $first,
        public ?int $nowRight,
        public ?int $now,
    ) {
    }
}
