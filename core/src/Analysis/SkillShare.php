<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** What a student has shown of one skill. */
final readonly class SkillShare
{
    /** One or two answers never make a strength or a weakness. */
    private const LEAST = 3;
    private const OF_CLASS = 'Mean over the students of their share on this skill; 95 % interval over the students, by Wilson on as many yes-or-no answers as would vary as much.';
    private const FORMULA = 'Mean credit over the questions of this skill that the student reached; 95 % interval by Wilson.';

    /** @param int $standing 1 when clearly above the reference, −1 clearly below, 0 when it cannot be told */
    private function __construct(public Figure $share, public int $standing)
    {
    }

    /**
     * @param list<float> $credits   0…1, of the skill's questions
     * @param float       $reference mean credit to stand against: the student's own, or the class's
     */
    public static function of(array $credits, float $reference): self
    {
        $n = count($credits);
        if ($n === 0) {
            return new self(Figure::missing(0, self::FORMULA, 'No question of this skill was reached.'), 0);
        }
        $share = array_sum($credits) / $n;
        [$low, $high] = Intervals::bounded($credits) ?? [0.0, 1.0];

        return new self(new Figure($share, $n, self::FORMULA, $low, $high, Figure::few($n, 4)), match (true) {
            $n < self::LEAST => 0,
            $low > $reference => 1,
            $high < $reference => -1,
            default => 0,
        });
    }

    /**
     * What a class has shown: the mean over its students, who are what another class would differ in.
     *
     * @param list<list<float>> $credits of each student, 0…1, of the skill's questions
     */
    public static function ofClass(array $credits): Figure
    {
        $shares = array_map(
            static fn (array $own): float => array_sum($own) / count($own),
            array_values(array_filter($credits, static fn (array $own): bool => $own !== [])),
        );
        $n = count($shares);
        $interval = Intervals::bounded($shares);

        return $interval === null ? Figure::missing(0, self::OF_CLASS, 'Nobody has reached a question of this skill.') : new Figure(
            array_sum($shares) / $n,
            $n,
            self::OF_CLASS,
            $interval[0],
            $interval[1],
            Figure::few($n),
        );
    }
}
