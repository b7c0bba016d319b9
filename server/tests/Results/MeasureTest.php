<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Results;

use ChalkLadder\Server\Results\Console\MeasureAgreementCommand;
use ChalkLadder\Server\Results\Console\MeasureItemsCommand;
use ChalkLadder\Server\Results\Console\MeasurePairsCommand;
use ChalkLadder\Server\Tests\Json;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Tester\CommandTester;

final class MeasureTest extends TestCase
{
    public function testItemsByCredit(): void
    {
        [$status, $text] = $this->measure(new MeasureItemsCommand(), ['responses' => "\u{FEFF}student,q1,q2,q3\r\na,1,1,1\r\nb,1,1,0\r\nc,0,,1\r\nd,0,0,\r\n"]);
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
        $json = Json::of($this->measure(new MeasureItemsCommand(), ['responses' => $rows, '--key' => "question,key,points\nq1,a,2\nq2,A,1\n"])[1]);

        self::assertSame(['A', 'C'], $json->column('questions.0.options', 'id'));
        self::assertSame('perhaps mis-keyed', $json->at('questions.1.flags.0.kind'));
        self::assertStringContainsString('option B', $json->text('questions.1.flags.0.evidence'));
        self::assertEqualsWithDelta(-1.0, $json->at('questions.1.itemRest'), 1e-12);
        self::assertEqualsWithDelta(1.5, $json->at('scale.mean'), 1e-12);
    }

    public function testAgreementAndPairs(): void
    {
        $json = Json::of($this->measure(new MeasureAgreementCommand(), ['ratings' => "unit,m1,m2\n1,0,0\n2,1,1\n3,2,1\n4,2,\n", '--levels' => '0,1,2'])[1]);
        self::assertEqualsWithDelta(2 / 3, $json->at('exact'), 1e-12);
        self::assertEqualsWithDelta(1.0, $json->at('adjacent'), 1e-12);
        self::assertSame([], $json->map('notes'));
        $alone = Json::of($this->measure(new MeasureAgreementCommand(), ['ratings' => "unit,m1\n1,0\n", '--levels' => '0,1'])[1]);
        self::assertNull($alone->at('kappa'));
        self::assertNotSame('', $alone->text('notes.kappa'));

        $pairs = Json::of($this->measure(new MeasurePairsCommand(), ['pairs' => "winner,loser\na,b\nb,c\nc,a\na,c\n"])[1]);
        self::assertEqualsWithDelta(0.0, array_sum(array_map(static fn (mixed $x): float => is_numeric($x) ? (float) $x : NAN, $pairs->column('objects', 'ability'))), 1e-9);
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

    public function testBadInputSaysFileLineAndColumn(): void
    {
        $cases = [
            [new MeasureItemsCommand(), ['responses' => ''], ':1:1: the file is empty'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,2\n"], ':2:2: credit lies between'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,x\n"], ':2:2: "x" is not a number'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,1\na,0\n"], ':3:1: the student "a" stands twice'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\n\"a\nb\",1\nc\n"], ':4:2: this row has 1 cells'],
            [new MeasureItemsCommand(), ['responses' => "student,q1,q1\n"], ':1:3: the column "q1" stands twice'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,AB\n", '--key' => "question,key,points\nq1,A,1\n"], ':2:2: "AB" is not the letter'],
            [new MeasureItemsCommand(), ['responses' => "student,q1\na,\xE9\n"], ':2:2: this is not UTF-8'],
            [new MeasureAgreementCommand(), ['ratings' => "unit,m\n1,7\n", '--levels' => '0,1'], ':2:2: 7 is not one of the levels'],
            [new MeasurePairsCommand(), ['pairs' => "winner,loser\na,a\n"], ':2:2: a comparison names two different things'],
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
        foreach ($files as $argument => $content) {
            $paths[$argument] = $argument === '--levels' ? $content : (string) tempnam(sys_get_temp_dir(), 'measure');
            if ($argument !== '--levels') {
                file_put_contents($paths[$argument], $content);
            }
        }
        $tester = new CommandTester($command);
        $status = $tester->execute($paths);
        unset($paths['--levels']);
        array_map(unlink(...), $paths);

        return [$status, $tester->getDisplay()];
    }
}
