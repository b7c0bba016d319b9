<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests;

use ChalkLadder\Core\Analysis\Agreement;
use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Confusion;
use ChalkLadder\Core\Analysis\Difference;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\KnownSkill;
use ChalkLadder\Core\Analysis\Manner;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\Model\TwoParameter;
use ChalkLadder\Core\Analysis\PersonFit;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Report;
use ChalkLadder\Core\Analysis\SkillShare;
use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\PairReading\BradleyTerry;
use ChalkLadder\Core\Tests\Analysis\Model\Simulated;
use ChalkLadder\Core\Tests\Item\Rules;
use ChalkLadder\Core\Tests\Item\RulesTableTest;
use PHPUnit\Framework\TestCase;

/**
 * What the core makes of one term's answers, as it was looked at and approved: whole-picture.json. The published figures and the
 * rules' own tests say what is right; this says that nothing else has changed. Where a change is meant, run it with
 * CHALK_APPROVE=1, read the difference, and keep it.
 */
final class WholePictureTest extends TestCase
{
    private const FILE = __DIR__.'/whole-picture.json';

    public function testNothingHasChangedUnnoticed(): void
    {
        $picture = [
            'outcomes' => self::outcomes(), 'defects' => self::defects(), 'results' => self::results(), 'models' => self::models(),
            'groups' => self::formed(), 'pairs' => self::pairs(), 'agreement' => self::agreement(),
        ];
        $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION;
        $now = (string) preg_replace('/^( +)/m', '', json_encode(self::plain($picture), $flags))."\n";
        if (getenv('CHALK_APPROVE') === '1') {
            file_put_contents(self::FILE, $now);
        }
        self::assertSame(explode("\n", (string) file_get_contents(self::FILE)), explode("\n", $now));
    }

    /** @return array<string, list<string>> how each answer of the table was read, and what is said to it */
    private static function outcomes(): array
    {
        $said = [];
        foreach (RulesTableTest::lines() as [$rule, $response]) {
            $outcome = Rules::item($rule)->check(RulesTableTest::response($response));
            $said[$rule][] = implode(' | ', [$response, $outcome->readAs, $outcome->feedback, implode(', ', $outcome->misconceptions)]);
        }

        return $said;
    }

    /** @return array<string, list<string>> by rule, whole and with parts taken away */
    private static function defects(): array
    {
        $found = [];
        foreach ((array) json_decode((string) file_get_contents(__DIR__.'/Item/rules.json'), true) as $name => $question) {
            if (!is_array($question) || !is_array($question['rule'] ?? null)) {
                continue;
            }
            $without = ['whole' => $question['rule']];
            foreach ($question['rule'] as $key => $part) {
                if (is_array($part) && array_is_list($part)) {
                    $without["no $key"] = [$key => []] + $question['rule'];
                    $without["$key twice"] = [$key => [...$part, ...$part]] + $question['rule'];
                    $without["first of $key"] = [$key => array_slice($part, 0, 1)] + $question['rule'];
                }
            }
            foreach ($without as $change => $rule) {
                $item = ['version' => 1, 'prompt' => '<p>?</p>', 'points' => '2', 'rule' => $rule] + $question;
                try {
                    foreach (ItemReader::read($item)->defects() as $defect) {
                        $found[$name.', '.$change][] = ($defect->blocks ? '! ' : '').$defect->message;
                    }
                } catch (\ChalkLadder\Core\Document\DocumentInvalid $e) {
                    $found[$name.', '.$change] = array_map(static fn ($p): string => $p->path.': '.$p->message, $e->problems);
                }
            }
        }

        return $found;
    }

    /** @return array<string, mixed> */
    private static function results(): array
    {
        $n = 40;
        $chance = self::chance('results');
        $questions = [];
        for ($q = 0; $q < 8; ++$q) {
            $cells = $credits = $picks = $seconds = $sure = [];
            for ($s = 0; $s < $n; ++$s) {
                $right = $chance() < 1 / (1 + exp($q / 2 - 2 - ($s - 20) / 8));
                $cell = $q > 4 && $s % 13 === 12 ? Cell::NotReached : ($s % 17 === $q ? Cell::Omitted : Cell::Answered);
                $pick = $right ? 'a' : ['b', 'b', 'c', 'd'][(int) (4 * $chance())];
                $cells[] = $cell;
                $credits[] = match ($cell) {
                    Cell::NotReached => null,
                    Cell::Omitted => 0.0,
                    default => $right ? 1.0 : ($q % 3 === 2 ? 0.5 : 0.0),
                };
                $picks[] = $cell === Cell::Answered ? [$pick] : [];
                $seconds[] = $cell === Cell::Answered ? 5 + 40 * $chance() - ($s % 19 === 0 ? 4.5 : 0.0) : null;
                $sure[] = $cell === Cell::Answered ? 1 + (int) (3 * $chance()) : null;
            }
            $questions[] = new Question(
                'q'.$q,
                1.0 + $q % 2,
                $q % 3 === 2 ? [] : ['a' => true, 'b' => false, 'c' => false, 'd' => false],
                $cells,
                $credits,
                $picks,
                $seconds,
                $sure,
            );
        }
        $report = Report::of($questions, $n);
        $halves = array_chunk($report->totals, 20);

        return [
            'report' => $report, 'confusions' => Confusion::among($report->questions), 'manner' => array_slice(Manner::of($questions, $n), 0, 6),
            'between' => Difference::between(...$halves), 'paired' => Difference::paired(...$halves), 'effect' => Difference::effect(...$halves),
            'class skill' => SkillShare::ofClass(array_map(static fn (float $t): array => [$t / 12, 1.0, 0.0], $report->totals)),
            'skill' => SkillShare::of([1.0, 0.5, 0.0, 1.0], 0.4), 'evidence' => [Evidence::of(3, 4), Evidence::of(0, 2)],
            'known' => KnownSkill::of([])->figure([true, false, true, true, true]),
        ];
    }

    /** @return array<string, mixed> */
    private static function models(): array
    {
        $data = Simulated::answers([0.7, 0.9, 1.1, 1.3, 0.8, 1.5], [1.0, 0.5, 0.0, -0.5, -1.0, 0.2], 120, 'picture', 0.05);
        $rasch = Rasch::of($data);
        $difficulty = array_map(static fn (array $q): float => (float) $q['difficulty'], $rasch->questions);

        return [
            'rasch' => ['questions' => $rasch->questions, 'abilities' => array_slice($rasch->abilities, 0, 12), 'note' => $rasch->note],
            'two parameters' => TwoParameter::of($data)->questions,
            'guttman' => array_slice(PersonFit::guttman($data), 0, 6),
            'patterns' => array_map(
                static fn (int $s): ?Figure => $rasch->abilities[$s] === null ? null
                    : PersonFit::standardised($data->rows[$s], $difficulty, $rasch->abilities[$s]),
                range(0, 8),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function formed(): array
    {
        $chance = self::chance('groups');
        $students = [];
        for ($i = 0; $i < 16; ++$i) {
            $students[] = new Student(
                's'.$i,
                round($chance(), 2),
                ['m1' => Evidence::of((int) (4 * $chance()), 4), 'm2' => Evidence::of((int) (3 * $chance()), 3)],
                'S'.$i,
                ['house' => ['north', 'south'][$i % 2]],
                ['', 'a', 'b', 'c'][(int) (4 * $chance())],
            );
        }
        $formed = [];
        foreach (Plan::AIMS as $aim) {
            $plan = new Plan(4, $aim, 3, 5, [['s0', 's1'], ['s2', 's3']], [['s4', 's5']], ['house'], ['s6' => 1], 'picture');
            $formed[$aim] = Former::form($students, $plan, ['m1' => 'the moon', 'm2' => 'the sun', 'a' => 'Draw it.']);
        }
        $formed['impossible'] = Former::form($students, new Plan(2, Plan::ALIKE, 1, 5, [], [], [], []));

        return $formed;
    }

    private static function pairs(): BradleyTerry
    {
        $chance = self::chance('pairs');
        $won = $drawn = [];
        for ($i = 0; $i < 60; ++$i) {
            $a = (int) (8 * $chance());
            $b = ($a + 1 + (int) (7 * $chance())) % 8;
            $first = $chance() < 1 / (1 + exp(($b - $a) / 3));
            $chance() < 0.1 ? $drawn[] = ["o$a", "o$b"] : $won[] = $first ? ["o$a", "o$b"] : ["o$b", "o$a"];
        }

        return BradleyTerry::of($won, $drawn);
    }

    /** @return array<string, Figure> */
    private static function agreement(): array
    {
        $chance = self::chance('agreement');
        $units = [];
        for ($i = 0; $i < 24; ++$i) {
            $true = (int) (4 * $chance());
            for ($m = 0; $m < 3; ++$m) {
                if ($chance() < 0.9) {
                    $units[$i][$m] = (float) min(3, max(0, $true + ($chance() < 0.3 ? 1 : 0) - ($chance() < 0.2 ? 1 : 0)));
                }
            }
            $units[$i] ??= [];
        }
        $agreement = new Agreement([0.0, 1.0, 2.0, 3.0], 3, array_values($units));

        return [
            'exact' => $agreement->share(0), 'adjacent' => $agreement->share(1), 'kappa' => $agreement->kappa('linear'),
            'nominal' => $agreement->alpha('nominal'), 'ordinal' => $agreement->alpha('ordinal'), 'interval' => $agreement->alpha('interval'),
            'icc' => $agreement->icc(),
            'bootstrapped' => $agreement->bootstrapped(static fn (Agreement $a): Figure => $a->kappa('quadratic'), 'picture', 100),
        ];
    }

    /** @return \Closure(): float */
    private static function chance(string $seed): \Closure
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(hash('sha256', $seed, true)));

        return static fn (): float => $random->getInt(0, 999_999_999) / 1e9;
    }

    /** Objects as what can be read of them, numbers to seven figures. */
    private static function plain(mixed $value): mixed
    {
        if ($value instanceof \UnitEnum) {
            return $value->name;
        }
        if (is_object($value)) {
            $value = $value instanceof \Stringable ? (string) $value : get_object_vars($value);
        }
        if (is_float($value)) {
            return is_finite($value) ? (float) sprintf('%.7G', abs($value) < 1e-10 ? 0.0 : $value) : (string) $value;
        }

        return is_array($value) ? array_map(self::plain(...), $value) : $value;
    }
}
