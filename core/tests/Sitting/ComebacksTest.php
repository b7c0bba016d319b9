<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\MachineMarked;
use ChalkLadder\Core\Sitting\Walk;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ComebacksTest extends TestCase
{
    private const STREAK = ['kind' => 'streak', 'right' => 2];

    /** @return iterable<string, array{array<string, mixed>, array<string, string>, string}> a rule, answers by question and time, the passes */
    public static function ways(): iterable
    {
        $until = ['returns' => 2, 'credits' => ['1', '1/2']];
        yield 'what is missed comes back until it is right' => [$until, ['a' => '01'], 'abc a def g'];
        yield 'at most so often' => [$until, ['a' => '0000', 'b' => '01'], 'abc ab a def g'];
        yield 'not once its skill is shown' => [$until + ['shown' => self::STREAK], ['a' => '0'], 'abc def g'];
        yield 'while its skill is not shown' => [$until + ['shown' => self::STREAK], ['b' => '01', 'c' => '1'], 'abc b def g'];
        yield 'a question without a skill until it is right' => [$until + ['shown' => self::STREAK], ['g' => '01'], 'abc def g g'];
        yield 'right ones do not come back with the same numbers' => [
            $until + ['shown' => ['kind' => 'streak', 'right' => 9]], ['d' => '01'], 'abc def d g',
        ];
        yield 'right ones come back with other numbers until the skill is shown' => [
            $until + ['shown' => ['kind' => 'streak', 'right' => 4], 'otherNumbers' => true], ['d' => '01'], 'abc ab def d g',
        ];
        yield 'after others: in the next sections, before their route goes on' => [$until + ['gap' => 3], ['b' => '01'], 'abc def b g'];
        yield 'after more others than there are sections in between' => [$until + ['gap' => 5], ['a' => '01'], 'abc def a g'];
        yield 'at the end, where no others are left' => [$until + ['gap' => 3], ['g' => '01'], 'abc def g g'];
        yield 'each question by its own distance' => [$until + ['gap' => 2], ['a' => '01', 'c' => '01'], 'abc a def c g'];
        yield 'again after the same distance' => [$until + ['gap' => 4], ['a' => '001'], 'abc def a g a'];
    }

    /**
     * @param array<string, mixed>  $rule
     * @param array<string, string> $answers `01`: wrong at first, then right; what is not named is right
     */
    #[DataProvider('ways')]
    public function testWhatComesBackAndWhen(array $rule, array $answers, string $passes): void
    {
        $paper = PaperReader::read(self::paper($rule));
        $walk = Walk::start($paper, new Conditions(), 'seed');
        $times = $outcomes = $shown = [];
        while (($visit = $walk->current()) !== null) {
            $shown[] = implode('', $visit->entries);
            self::assertLessThan(20, count($shown), 'It ends.');
            self::assertTrue(count($walk->visits) < 20 && ($visit->section === 's3' || $walk->mayGoOn($paper, self::marked())));
            foreach ($visit->entries as $entry) {
                $times[$entry] = ($times[$entry] ?? -1) + 1;
                $right = ($answers[$entry] ?? '')[$times[$entry]] ?? '1';
                $outcomes[$entry][$visit->try] = Outcome::of(BigRational::of($right), '', '');
            }
            $walk = $walk->leave($paper, new Conditions(), 'seed', $outcomes, self::marked());
        }

        self::assertSame($passes, implode(' ', $shown));
    }

    public function testARouteIsTakenOnceHoweverLateQuestionsComeBack(): void
    {
        $document = self::paper(['returns' => 1, 'credits' => ['1'], 'gap' => 4]);
        // Below half one goes back to the first section, once.
        $document['sections'][1]['route'] = ['exits' => [['when' => 'share < 1/2', 'to' => 's1', 'rounds' => 1]], 'else' => 's3'];
        $paper = PaperReader::read($document);
        $walk = Walk::start($paper, new Conditions(), 'seed');
        $outcomes = $shown = [];
        while (($visit = $walk->current()) !== null) {
            $shown[] = implode('', $visit->entries);
            self::assertLessThan(20, count($shown), 'It ends.');
            foreach ($visit->entries as $entry) {
                $outcomes[$entry][$visit->try] = Outcome::of(BigRational::of($entry === 'd' || $entry === 'e' ? '0' : '1'), '', '');
            }
            $walk = $walk->leave($paper, new Conditions(), 'seed', $outcomes, self::marked());
        }

        self::assertSame('abc def abc de def g de', implode(' ', $shown));
    }

    public function testEvidenceCountsWhatWasLeftAndWhatIsAnsweredInTheOpenPass(): void
    {
        $paper = PaperReader::read(self::paper(['returns' => 1, 'credits' => ['1']]));
        $right = Outcome::of(BigRational::one(), '', '');
        $outcomes = ['a' => [1 => $right], 'd' => [1 => $right], 'e' => [1 => $right]];
        $walk = Walk::start($paper, new Conditions(), 'seed');
        $said = static fn (bool $withOpen, Walk $at): array => array_map(
            static fn (array $credits): string => implode(' ', $credits),
            $at->evidence($paper, $outcomes, self::marked(), $withOpen),
        );

        self::assertSame([], $said(false, $walk), 'nothing is left yet');
        self::assertSame(['scale' => '1'], $said(true, $walk));
        $back = $walk->leave($paper, new Conditions(), 'seed', $outcomes, self::marked());
        self::assertSame(['scale' => '1 0 0'], $said(false, $back), 'what was left out earned nothing');
    }

    public function testTheRuleSaysItselfAndIsWrittenAsItWasRead(): void
    {
        $rule = ['returns' => 2, 'credits' => ['1', '1/2'], 'shown' => ['kind' => 'streak', 'right' => 3], 'otherNumbers' => true, 'gap' => 3];
        $mastery = PaperReader::read(self::paper($rule))->mastery;

        self::assertSame($rule, $mastery?->toArray());
        self::assertSame(
            'A skill counts as shown with 3 right in a row. Until then a missed question comes back with other numbers, after at least 3 others, '
                .'at most twice; a right answer earns 1, 1/2 of its marks by try.',
            $mastery->sentence(),
        );
        foreach ([['shown' => ['kind' => 'guess']], ['gap' => 99], ['otherNumbers' => 'yes']] as $wrong) {
            try {
                PaperReader::read(self::paper($wrong + $rule));
                self::fail('It was read.');
            } catch (DocumentInvalid $e) {
                self::assertStringStartsWith('mastery.'.array_key_first($wrong), $e->getMessage());
            }
        }
    }

    private static function marked(): MachineMarked
    {
        $all = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];

        return new MachineMarked(
            $all,
            ['a' => 'scale', 'b' => 'scale', 'c' => 'scale', 'd' => 'tides', 'e' => 'tides', 'f' => 'tides', 'g' => null],
            ['a', 'b'],
        );
    }

    /**
     * @param array<string, mixed> $mastery
     *
     * @return array{version: int, title: string, mastery: array<string, mixed>, sections: list<array<string, mixed>>}
     */
    private static function paper(array $mastery): array
    {
        $section = static fn (string $id, string $entries): array => ['id' => $id, 'title' => $id, 'route' => null, 'entries' => array_map(
            static fn (string $e): array => ['id' => $e, 'kind' => 'question', 'item' => 'i-'.$e, 'points' => '2'],
            str_split($entries),
        )];

        return ['version' => 1, 'title' => 't', 'mastery' => $mastery, 'sections' => [
            $section('s1', 'abc'), $section('s2', 'def'), $section('s3', 'g'),
        ]];
    }
}
