<?php

declare(strict_types=1);

/*
 * How well the flags and intervals of the results do, on simulated classes whose truth is known: how often a flag finds what it
 * looks for, how often it speaks without cause, and how often a 95 % interval holds the true value. Writes docs/measurement.md.
 * Called by `bin/bench flags`.
 */

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Flag;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Report;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

require dirname(__DIR__, 2).'/vendor/autoload.php';

/** A simulated class sits twenty questions of four options. */
final class SimulatedClass
{
    public const QUESTIONS = 20;

    /** @var list<float> */
    public array $ability = [];

    public function __construct(private readonly Randomizer $random, public readonly int $students)
    {
        for ($s = 0; $s < $students; ++$s) {
            $this->ability[] = $this->normal();
        }
    }

    /**
     * One question of a kind: sound, mis-keyed, two readings, idle. Its distractors draw 50, 30 and 20 % of those who do not know; an
     * idle one draws 2 %.
     */
    public function question(string $id, string $kind): Question
    {
        $difficulty = 0.8 * $this->normal();
        $slope = exp(0.3 * $this->normal());
        $credits = $picks = [];
        foreach ($this->ability as $ability) {
            $knows = $this->uniform() < 1 / (1 + exp(-$slope * ($ability - $difficulty)));
            $right = match ($kind) {
                'mis-keyed' => 'b',
                'two readings' => $this->uniform() < 0.5 ? 'a' : 'b',
                default => 'a',
            };
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
        $u = $this->uniform();
        if ($kind === 'mis-keyed') {
            return $u < 0.5 ? 'a' : ($u < 0.8 ? 'c' : 'd');
        }
        if ($kind === 'idle') {
            return $u < 0.6 ? 'b' : ($u < 0.98 ? 'c' : 'd');
        }
        // Some of those who do not know hit the key.
        return $u < 0.15 ? 'a' : ($u < 0.575 ? 'b' : ($u < 0.83 ? 'c' : 'd'));
    }

    public function uniform(): float
    {
        return $this->random->getInt(0, PHP_INT_MAX - 1) / PHP_INT_MAX;
    }

    public function normal(): float
    {
        return sqrt(-2 * log(1 - 0.999_999_999 * $this->uniform())) * cos(2 * M_PI * $this->uniform());
    }
}

$seed = $argv[1] ?? 'flags';
$classes = (int) ($argv[2] ?? 400);
$looked = [Flag::TWO_READINGS => 'two readings', Flag::MIS_KEYED => 'mis-keyed', Flag::IDLE => 'idle'];
foreach ([12, 28, 84] as $n) {
    $found = $false = $sound = $bad = [];
    $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', "$seed $n", true)));
    for ($c = 0; $c < $classes; ++$c) {
        $class = new SimulatedClass($random, $n);
        $kinds = ['two readings', 'mis-keyed', 'idle', ...array_fill(0, SimulatedClass::QUESTIONS - 3, 'sound')];
        $questions = [];
        foreach ($kinds as $i => $kind) {
            $questions[] = $class->question('q'.$i, $kind);
        }
        foreach (Report::of($questions, $n)->questions as $i => $report) {
            $flags = array_column($report->flags, 'kind');
            foreach ($looked as $flag => $kind) {
                if ($kinds[$i] === $kind) {
                    $bad[$flag] = ($bad[$flag] ?? 0) + 1;
                    $found[$flag] = ($found[$flag] ?? 0) + (int) in_array($flag, $flags, true);
                } elseif ($kinds[$i] === 'sound') {
                    $sound[$flag] = ($sound[$flag] ?? 0) + 1;
                    $false[$flag] = ($false[$flag] ?? 0) + (int) in_array($flag, $flags, true);
                }
            }
        }
    }
    foreach ($looked as $flag => $kind) {
        printf("%d %s found %.3f false %.4f\n", $n, $flag, ($found[$flag] ?? 0) / ($bad[$flag] ?? 1), ($false[$flag] ?? 0) / ($sound[$flag] ?? 1));
    }
}
