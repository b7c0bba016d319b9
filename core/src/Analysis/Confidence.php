<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** How sure students said they were, against how right they were. */
final readonly class Confidence
{
    private const FORMULA = 'Mean credit of the answers given with this confidence; 95 % interval by Wilson.';

    /**
     * @param array<int, Figure> $byLevel     mean credit for each level of confidence that was used
     * @param Figure             $sureAndWrong share of the surest answers that are wrong
     */
    private function __construct(public array $byLevel, public Figure $sureAndWrong)
    {
    }

    /** @param list<array{int, float}> $answers confidence, 1 to $surest, and credit, 0 to 1 */
    public static function of(array $answers, int $surest = 3): self
    {
        $credits = [];
        foreach ($answers as [$level, $credit]) {
            $credits[$level][] = $credit;
        }
        ksort($credits);
        $top = $credits[$surest] ?? [];
        $n = count($top);
        $wrong = count(array_filter($top, static fn (float $c): bool => $c === 0.0));
        $formula = 'Answers given as sure that earn nothing, as a share of all given as sure; 95 % interval by Wilson.';

        return new self(
            array_map(static function (array $c): Figure {
                [$low, $high] = Intervals::wilson(array_sum($c), count($c));

                return new Figure(array_sum($c) / count($c), count($c), self::FORMULA, $low, $high, Figure::few(count($c)));
            }, $credits),
            $n === 0 ? Figure::missing(0, $formula, 'No answer was given as sure.') : new Figure(
                $wrong / $n,
                $n,
                $formula,
                Intervals::wilson((float) $wrong, $n)[0],
                Intervals::wilson((float) $wrong, $n)[1],
                Figure::few($n),
            ),
        );
    }
}
