<?php

declare(strict_types=1);

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Question;
use Random\Randomizer;

/** A class whose truth is known: abilities are standard normal; who does not know a question guesses among its options. */
final class SimulatedClass
{
    /** @var list<float> */
    public array $ability = [];

    public function __construct(private readonly Randomizer $random, public readonly int $students)
    {
        for ($s = 0; $s < $students; ++$s) {
            $this->ability[] = $this->normal();
        }
    }

    /**
     * A choice question of four options whose key is a. Kinds: sound; mis-keyed (b is right); two readings (half of those who know take
     * b); idle (d draws 2 % of the guesses). The guesses of a sound one go to a, b, c, d in 15, 42, 26 and 17 of a hundred.
     */
    public function question(string $id, string $kind): Question
    {
        $difficulty = 0.8 * $this->normal();
        $slope = exp(0.3 * $this->normal());
        $credits = $picks = [];
        foreach ($this->ability as $ability) {
            $knows = $this->uniform() < 1 / (1 + exp(-$slope * ($ability - $difficulty)));
            $right = $kind === 'mis-keyed' || ($kind === 'two readings' && $this->uniform() < 0.5) ? 'b' : 'a';
            $pick = $knows ? $right : $this->guess($kind);
            $picks[] = [$pick];
            $credits[] = $pick === 'a' ? 1.0 : 0.0;
        }

        return new Question(
            $id,
            1.0,
            ['a' => true, 'b' => false, 'c' => false, 'd' => false],
            array_fill(0, $this->students, Cell::Answered),
            $credits,
            $picks,
        );
    }

    private function guess(string $kind): string
    {
        $shares = match ($kind) {
            'mis-keyed' => ['a' => 0.5, 'c' => 0.3, 'd' => 0.2],
            'idle' => ['b' => 0.6, 'c' => 0.38, 'd' => 0.02],
            default => ['a' => 0.15, 'b' => 0.42, 'c' => 0.26, 'd' => 0.17],
        };
        $u = $this->uniform();
        foreach ($shares as $option => $share) {
            $u -= $share;
            if ($u < 0.0) {
                break;
            }
        }

        return $option ?? 'a';
    }

    public function uniform(): float
    {
        return $this->random->getInt(0, PHP_INT_MAX - 1) / PHP_INT_MAX;
    }

    public function normal(): float
    {
        return sqrt(-2 * log(1 - 0.999_999_999 * $this->uniform())) * cos(2 * M_PI * $this->uniform());
    }

    /**
     * One of several values, each with its probability.
     *
     * @param array<string, float> $values
     */
    public function drawn(array $values): float
    {
        $u = $this->uniform();
        foreach ($values as $value => $share) {
            $u -= $share;
            if ($u < 0.0) {
                return (float) $value;
            }
        }

        return (float) array_key_last($values);
    }
}
