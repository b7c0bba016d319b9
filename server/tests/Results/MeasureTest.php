<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Results;

use ChalkLadder\Server\Results\Console\MeasureAgreementCommand;
use ChalkLadder\Server\Results\Console\MeasureCommonErrorsCommand;
use ChalkLadder\Server\Results\Console\MeasureGroupsCommand;
use ChalkLadder\Server\Results\Console\MeasureGrowthCommand;
use ChalkLadder\Server\Results\Console\MeasureItemsCommand;
use ChalkLadder\Server\Results\Console\MeasureMasteryCommand;
use ChalkLadder\Server\Results\Console\MeasurePairsCommand;
use ChalkLadder\Server\Results\Console\MeasurePartialCreditCommand;
use ChalkLadder\Server\Results\Console\MeasureRaschCommand;
use ChalkLadder\Server\Results\Console\MeasureTwoParameterCommand;
use ChalkLadder\Server\Tests\Json;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Tester\CommandTester;

final class MeasureTest extends TestCase
{
    public function testItemsByCredit(): void
    {
        [$status, $text] = $this->measure(
            new MeasureItemsCommand(),
            ['responses' => "\u{FEFF}student,q1,q2,q3\r\na,1,1,1\r\nb,1,1,0\r\nc,0,,1\r\nd,0,0,\r\n"],
        );
        self::assertSame(0, $status);
        $json = Json::of($text);

        self::assertSame([4, 3], [$json->at('scale.n'), $json->at('scale.k')]);
        self::assertEqualsWithDelta(1.5, $json->at('scale.mean'), 1e-12);
        self::assertEqualsWithDelta(sqrt(5 / 3), $json->at('scale.sd'), 1e-12);
        self::assertEqualsWithDelta(0.6, $json->at('scale.alpha'), 1e-12);
        self::assertEqualsWithDelta(0.5, $json->at('questions.1.facility'), 1e-12);
        self::assertSame([1, 0], [$json->at('questions.1.omitted'), $json->at('questions.1.notReached')]);
        self::assertSame([0, 1, 3], [$json->at('questions.2.omitted'), $json->at('questions.2.notReached'), $json->at('questions.2.n')]);
    }

    public function testItemsByLettersWithAKey(): void
    {
        $rows = "student,q1,q2\n";
        for ($i = 0; $i < 40; ++$i) {
            // The able take B on question 2, the key is A.
            $rows .= sprintf("s%d,%s,%s\n", $i, $i < 20 ? 'A' : 'C', $i < 20 ? 'B' : 'A');
        }
        $json = Json::of($this->measure(
            new MeasureItemsCommand(),
            ['responses' => $rows, '--key' => "question,key,points\nq1,a,2\nq2,A,1\n"],
        )[1]);

        self::assertSame(['A', 'C'], $json->column('questions.0.options', 'id'));
        self::assertSame('perhaps mis-keyed', $json->at('questions.1.flags.0.kind'));
        self::assertStringContainsString('option B', $json->text('questions.1.flags.0.evidence'));
        self::assertEqualsWithDelta(-1.0, $json->at('questions.1.itemRest'), 1e-12);
        self::assertEqualsWithDelta(1.5, $json->at('scale.mean'), 1e-12);
    }

    public function testAgreementAndPairs(): void
    {
        $json = Json::of($this->measure(
            new MeasureAgreementCommand(),
            ['ratings' => "unit,m1,m2\n1,0,0\n2,1,1\n3,2,1\n4,2,\n", '--levels' => '0,1,2'],
        )[1]);
        self::assertEqualsWithDelta(2 / 3, $json->at('exact'), 1e-12);
        self::assertEqualsWithDelta(1.0, $json->at('adjacent'), 1e-12);
        self::assertSame([], $json->map('notes'));
        $alone = Json::of($this->measure(new MeasureAgreementCommand(), ['ratings' => "unit,m1\n1,0\n", '--levels' => '0,1'])[1]);
        self::assertNull($alone->at('kappa'));
        self::assertNotSame('', $alone->text('notes.kappa'));

        $pairs = Json::of($this->measure(new MeasurePairsCommand(), ['pairs' => "winner,loser\na,b\nb,c\nc,a\na,c\n"])[1]);
        self::assertEqualsWithDelta(
            0.0,
            array_sum(array_map(static fn (mixed $x): float => is_numeric($x) ? (float) $x : NAN, $pairs->column('objects', 'ability'))),
            1e-9,
        );
    }

    public function testDegenerateDataGiveNullsWithAReason(): void
    {
        foreach (["student,q1\na,1\n", "student,q1,q2\na,1,1\nb,1,1\n", "student,q1,q2\na,,\nb,,\n", "student,q1,q2\n"] as $responses) {
            [$status, $text] = $this->measure(new MeasureItemsCommand(), ['responses' => $responses]);
            self::assertSame(0, $status, $text);
            self::assertNull(Json::of($text)->at('scale.alpha'));
            self::assertNotSame([], Json::of($text)->map('scale.notes'));
            self::assertStringNotContainsString('NAN', $text);
        }
    }

    public function testTheModelsAreFittedToATableOfRightAndWrong(): void
    {
        $rows = "student,q1,q2,q3\n";
        foreach ([
            '1,1,0' => 30,
            '1,0,0' => 25,
            '0,1,0' => 12,
            '1,0,1' => 9,
            '0,0,1' => 4,
            '1,1,1' => 20,
            '0,0,0' => 10,
            '0,1,1' => 5,
        ] as $pattern => $count) {
            for ($i = 0; $i < $count; ++$i) {
                $rows .= "$pattern-$i,$pattern\n";
            }
        }
        $rows = (string) preg_replace('/^(\d),(\d),(\d)-/m', '$1$2$3-', $rows);
        [$status, $text] = $this->measure(new MeasureRaschCommand(), ['responses' => $rows]);
        self::assertSame(0, $status, $text);
        $rasch = Json::of($text);
        self::assertSame([115, ['q1', 'q2', 'q3']], [$rasch->at('n'), $rasch->column('questions', 'id')]);
        self::assertEqualsWithDelta(0.0, array_sum(array_filter($rasch->column('questions', 'difficulty'), is_float(...))), 1e-9);
        self::assertLessThan($rasch->at('questions.2.difficulty'), $rasch->at('questions.0.difficulty'));
        foreach (['se', 'infit', 'outfit'] as $member) {
            self::assertIsFloat($rasch->at("questions.1.$member"));
        }
        [$status, $text] = $this->measure(new MeasureTwoParameterCommand(), ['responses' => $rows]);
        self::assertSame(0, $status, $text);
        self::assertIsFloat(Json::of($text)->at('questions.0.se.intercept'));
        self::assertIsFloat(Json::of($text)->at('logLikelihood'));
        self::assertSame([], Json::of($text)->list('dependent'));
        foreach ([new MeasureRaschCommand(), new MeasureTwoParameterCommand()] as $command) {
            [$status, $text] = $this->measure($command, ['responses' => "student,q1\na,1\n"]);
            self::assertSame(0, $status, $text);
            self::assertNotSame([], Json::of($text)->map('notes'));
        }
    }

    public function testPartCreditStandsOnTheMap(): void
    {
        $rows = "student,open,a,b\n";
        for ($s = 0; $s < 60; ++$s) {
            $rows .= sprintf("s%d,%d,%d,%d\n", $s, intdiv($s, 20), $s % 3 > 0 ? 1 : 0, ($s * 7) % 60 > $s ? 0 : 1);
        }
        [$status, $text] = $this->measure(new MeasurePartialCreditCommand(), ['marks' => $rows]);
        self::assertSame(0, $status, $text);
        $found = Json::of($text);
        self::assertCount(2, $found->map('questions.0.thresholds'));
        self::assertCount(60, $found->list('students'));
        self::assertIsFloat($found->at('students.0.ability'));
        foreach (['1/2', '61', '-1', 'x'] as $cell) {
            [$status, $text] = $this->measure(new MeasurePartialCreditCommand(), ['marks' => "student,q\na,$cell\n"]);
            self::assertSame(2, $status);
            self::assertStringContainsString(":2:2: \"$cell\" is not a whole number from 0 to 60", $text);
        }
    }

    public function testOnePairsCommonWrongAnswersOnlyWhenAsked(): void
    {
        $rows = "student,q1,q2,q3\nx,B,B,A\ny,B,C,A\n";
        for ($i = 0; $i < 8; ++$i) {
            $rows .= sprintf("s%d,%s,%s,A\n", $i, $i % 2 === 0 ? 'B' : 'C', $i % 4 < 3 ? 'B' : 'C');
        }
        $key = "question,key\nq1,A\nq2,A\nq3,A\n";
        [$status, $text] = $this->measure(new MeasureCommonErrorsCommand(), ['responses' => $rows, '--key' => $key, '--pair' => 'x,y']);
        self::assertSame(0, $status, $text);
        $found = Json::of($text);
        self::assertSame([2, 1], [$found->at('bothWrong'), $found->at('alike')]);
        // Alike by chance: 1/2 on the first question, 9/16 + 1/16 on the second.
        self::assertEqualsWithDelta(1 - 0.5 * 0.375, $found->at('probability'), 1e-12);
        self::assertStringContainsString('This proves nothing', $found->text('sentence'));
        foreach (['x' => '--pair:1:1:', 'x,x' => '--pair:1:1:', 'x,z' => '--pair:1:2: there is no student "z"'] as $pair => $fault) {
            [$status, $text] = $this->measure(new MeasureCommonErrorsCommand(), ['responses' => $rows, '--key' => $key, '--pair' => $pair]);
            self::assertSame(2, $status);
            self::assertStringStartsWith($fault, $text);
        }
    }

    public function testWhoHasShownASkill(): void
    {
        $rows = "student,1,2,3,4\na,1,1,1,\nb,1,0,1,1/2\n";
        [$status, $text] = $this->measure(new MeasureMasteryCommand(), ['answers' => $rows, '--rule' => '{"kind": "streak", "right": 3}']);
        self::assertSame(0, $status, $text);
        self::assertSame([true, false], Json::of($text)->column('students', 'shown'));
        self::assertSame('Not shown yet: 0 right in a row; 3 in a row is asked for.', Json::of($text)->text('students.1.sentence'));
        foreach ([
            ['{"kind": "luck"}', $rows, '--rule:1:1: '], ['streak', $rows, '--rule:1:1: a rule in JSON'],
            ['{"kind": "streak", "right": 3}', "student,1\na,2\n", ':2:2: credit lies'],
        ] as [$rule, $answers, $fault]) {
            [$status, $text] = $this->measure(new MeasureMasteryCommand(), ['answers' => $answers, '--rule' => $rule]);
            self::assertSame(2, $status);
            self::assertStringContainsString($fault, $text);
        }
    }

    public function testTwoPapersThatShareQuestionsAreLinked(): void
    {
        $table = static function (float $lift, string ...$questions): string {
            $rows = 'student,'.implode(',', $questions)."\n";
            for ($s = 0; $s < 80; ++$s) {
                $rows .= "s$s";
                foreach ($questions as $q) {
                    $rows .= ','.(sin($s * 12.9 + ord($q) * 78.2) * 0.9 + ($s - 40) / 30 + $lift - (ord($q) - 100) / 4 > 0 ? '1' : '0');
                }
                $rows .= "\n";
            }

            return $rows;
        };
        $files = ['earlier' => $table(0.0, 'a', 'b', 'c', 'd', 'e', 'f'), 'later' => $table(0.3, 'b', 'c', 'd', 'e', 'f', 'g')];
        [$status, $text] = $this->measure(new MeasureGrowthCommand(), $files);
        self::assertSame(0, $status, $text);
        $found = Json::of($text);
        self::assertSame(5, count($found->map('anchors')) + count($found->map('drifted')));
        self::assertIsFloat($found->at('shift'));
        self::assertNotSame([], $found->map('students'));
        [, $text] = $this->measure(new MeasureGrowthCommand(), ['later' => $table(0.0, 'x', 'y', 'z')] + $files);
        self::assertStringContainsString('At least 3 shared questions', $text);
    }

    public function testGroupsAreFormedByAPlan(): void
    {
        $students = "student,level,name,class,idea:even\na,0.2,Ada,H,3/3\nb,0.3,Benoît,K,2/3\nc,0.8,Cleo,H,\nd,0.9,Dee,K,0/3\n";
        [$status, $text] = $this->measure(
            new MeasureGroupsCommand(),
            ['students' => $students, 'plan' => '{"groups": 2, "aim": "alike", "least": 2, "apart": [["a", "b"]]}'],
        );
        self::assertSame(0, $status, $text);
        $found = Json::of($text);
        self::assertSame([[], null], [$found->at('broken'), $found->at('clash')]);
        self::assertGreaterThan($found->at('bound'), $found->at('value'), 'keeping two apart costs something');
        [, $text] = $this->measure(new MeasureGroupsCommand(), ['students' => $students, 'plan' => '{"groups": 1, "apart": [["a", "b"]]}']);
        self::assertStringContainsString('Ada and Benoît', Json::of($text)->text('broken.0'));
        [, $text] = $this->measure(
            new MeasureGroupsCommand(),
            ['students' => $students, 'plan' => '{"size": 2, "aim": "by misconception"}'],
        );
        self::assertContains('even', Json::of($text)->column('groups', 'name'));
    }

    public function testBadInputSaysFileLineAndColumn(): void
    {
        $cases = [
            [new MeasureItemsCommand(), ['responses' => ''], ':1:1: the file is empty'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,2\n"], ':2:2: credit lies between'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,x\n"], ':2:2: "x" is not a number'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,1\na,0\n"], ':3:1: the student "a" stands twice'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\n\"a\nb\",1\nc\n"], ':4:2: this row has 1 cells'],
            [new MeasureItemsCommand(), ['responses' => "student,q1,q1\n"], ':1:3: the column "q1" stands twice'],
            [
                new MeasureItemsCommand(),
                ['responses' => "student,q1\na,AB\n", '--key' => "question,key,points\nq1,A,1\n"],
                ':2:2: "AB" is not the letter',
            ],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,\xE9\n"], ':2:2: this is not UTF-8'],
            [new MeasureAgreementCommand(), ['ratings' => "unit,m\n1,7\n", '--levels' => '0,1'], ':2:2: 7 is not one of the levels'],
            [new MeasureRaschCommand(), ['responses' => "student,q1,q2\na,0.5,1\n"], 'question "q1" has part credit'],
            [new MeasureTwoParameterCommand(), ['responses' => "student,q1,q2\na,1\n"], ':2:3: this row has 2 cells'],
            [
                new MeasureGroupsCommand(),
                ['students' => "student,mark\n", 'plan' => '{"groups": 2}'],
                ':1:2: the header begins with student,level',
            ],
            [
                new MeasureGroupsCommand(),
                ['students' => "student,level,idea:x\na,0.5,4/3\n", 'plan' => '{"groups": 2}'],
                ':2:3: "4/3" is not shown/offered',
            ],
            [
                new MeasureGroupsCommand(),
                ['students' => "student,level\na,0.5\na,0.5\n", 'plan' => '{"groups": 2}'],
                ':3:1: the student "a" stands twice',
            ],
            [new MeasureGroupsCommand(), ['students' => "student,level\na,0.5\n", 'plan' => '{"groups": 2'], 'this is not JSON'],
            [
                new MeasureGroupsCommand(),
                ['students' => "student,level\na,0.5\n", 'plan' => '{"groups": 1, "fixed": {"z": 1}}'],
                'there is no student "z"',
            ],
            [new MeasureGroupsCommand(), ['students' => "student,level\na,0.5\n", 'plan' => '{"groups": 1, "aim": "best"}'], 'aim'],
            [new MeasurePairsCommand(), ['pairs' => "winner,loser\na,a\n"], ':2:2: a comparison names two different things'],
            [new MeasurePairsCommand(), ['pairs' => "winner,loser\na,Tie\n"], ':2:2: "Tie" cannot be the name of a student'],
            [new MeasureAgreementCommand(), ['ratings' => "unit,m\n1,1\n", '--levels' => '0,1,1'], '--levels:1:3: 1 stands twice'],
            [new MeasureAgreementCommand(), ['ratings' => "unit,m\n1,1\n", '--levels' => '0,2,1'], '--levels:1:3: 1 does not rise'],
            ...array_map(static fn (string $key, string $fault): array => [
                new MeasureItemsCommand(),
                ['responses' => "student,q1,q2\na,A,B\n", '--key' => "question,key,points\n$key"],
                $fault,
            ], [
                "q1,A,1\nq2,,1\n", "q1,A,1\nq1,B,1\nq2,A,1\n", "q1,A,1\nq2,A,1\nq3,A,1\n", "q1,1,1\n", "q1,A,0\n", "q1,AB,1\n", "q1,A,x\n", "q1,A,1\n",
            ], [
                ':3:2: the key is missing', ':3:1: the question "q1" stands twice, first in line 2', ':4:1: the responses have no question "q3"',
                ':2:2: "1" is not the letter', ':2:3: the points must be above 0', ':2:2: "AB" is not the letter', ':2:3: "x" is not a number',
                ':1:1: there is no key for "q2"',
            ]),
        ];
        foreach ($cases as [$command, $files, $message]) {
            [$status, $text] = $this->measure($command, $files);
            self::assertSame(2, $status, $text);
            self::assertStringContainsString($message, $text);
        }
    }

    /**
     * @param array<string, string> $files content by argument; `--levels` stands for itself
     *
     * @return array{int, string}
     */
    private function measure(Command $command, array $files): array
    {
        $paths = [];
        // What is not named here is a file.
        $written = array_intersect_key($files, ['--levels' => 1, '--pair' => 1, '--rule' => 1]);
        foreach (array_diff_key($files, $written) as $argument => $content) {
            $paths[$argument] = (string) tempnam(sys_get_temp_dir(), 'measure');
            file_put_contents($paths[$argument], $content);
        }
        $tester = new CommandTester($command);
        $status = $tester->execute($paths + $written);
        array_map(unlink(...), $paths);

        return [$status, $tester->getDisplay()];
    }
}
