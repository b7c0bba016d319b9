<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis\Model;

use ChalkLadder\Core\Analysis\Model\Binary;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Answers drawn from known slopes and intercepts, abilities standard normal. The same seed draws the same. */
final class Simulated
{
    /**
     * @param list<float> $slopes
     * @param list<float> $intercepts
     */
    public static function answers(array $slopes, array $intercepts, int $students, string $seed, float $missing = 0.0): Binary
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)));
        $chance = static fn (): float => $random->getInt(0, 999_999_999) / 1e9;
        $rows = [];
        for ($s = 0; $s < $students; ++$s) {
            $ability = sqrt(-2 * log(1 - $chance())) * cos(2 * M_PI * $chance());
            $rows[] = array_map(
                static fn (float $a, float $d): ?int => $chance() < $missing
                    ? null
                    : ($chance() < 1 / (1 + exp(-$a * $ability - $d)) ? 1 : 0),
                $slopes,
                $intercepts,
            );
        }

        return new Binary(array_map(static fn (int $i): string => 'q'.$i, array_keys($slopes)), $rows);
    }
}
