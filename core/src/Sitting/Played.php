<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/**
 * How often each part of a sound or a film was played on one device. A part is the fewest whole seconds of which at most {@see
 * MOST_PARTS} make up the whole, the last one what is left; it was played each time the playing passed its middle.
 */
final readonly class Played
{
    public const MOST_PARTS = 120;
    public const MOST_TIMES = 999;
    /** in milliseconds: a day */
    public const LONGEST = 86_400_000;

    /**
     * @param int       $millis the length of the whole
     * @param list<int> $times  how often, part by part
     *
     * @throws \InvalidArgumentException when these are not the parts of such a whole
     */
    public function __construct(public int $millis, public array $times)
    {
        if ($millis < 1 || $millis > self::LONGEST || count($times) !== (int) ceil($millis / (1000 * self::secondsOf($millis)))) {
            throw new \InvalidArgumentException('These are not its parts.');
        }
        foreach ($times as $once) {
            if ($once < 0 || $once > self::MOST_TIMES) {
                throw new \InvalidArgumentException('So often nothing is played.');
            }
        }
    }

    /** How many seconds a part of so long a whole lasts. */
    public static function secondsOf(int $millis): int
    {
        return max(1, (int) ceil($millis / (1000 * self::MOST_PARTS)));
    }

    /** @param float $second since the beginning; beyond the end it was never played */
    public function at(float $second): int
    {
        return $this->times[(int) floor($second / self::secondsOf($this->millis))] ?? 0;
    }
}
