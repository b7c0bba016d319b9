<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\ExitProof;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Tests\Item\Rules;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PaperProofTest extends TestCase
{
    public function testABranchingPaperIsProvedWithItsRange(): void
    {
        $proof = self::proof([
            ['s1', ['one', 'two'], ['below' => '1/2', 'then' => 's2', 'else' => 's3']],
            ['s2', ['one', 'one'], null],
            ['s3', ['open'], null],
        ]);

        self::assertTrue($proof->mayPublish());
        self::assertSame(['3', '5'], [(string) $proof->points[0], (string) $proof->points[1]]);
        self::assertSame([3, 5], $proof->length);
    }

    public function testFindsASectionThatIsNeverReached(): void
    {
        $proof = self::proof([
            ['s1', ['one'], ['below' => '1/2', 'then' => 's3', 'else' => 'end']],
            ['s2', ['one'], null],
            ['s3', ['one'], ['below' => '1/2', 'then' => 'end', 'else' => 'end']],
        ]);

        self::assertFalse($proof->mayPublish());
        self::assertContains('Section "s2" is never reached.', self::blocking($proof));
    }

    public function testASectionReachedOnlyBelowZeroIsNeverReached(): void
    {
        $proof = self::proof([['s1', ['one'], ['below' => '0', 'then' => 's2', 'else' => 'end']], ['s2', ['one'], null]]);

        self::assertContains('Section "s2" is never reached.', self::blocking($proof));
    }

    public function testFindsALoopWithoutEnd(): void
    {
        $proof = self::proof([['s1', ['one'], null], ['s2', ['one'], ['below' => '1/2', 'then' => 's1', 'else' => 'end']]]);

        self::assertContains(
            'These routes go round without end: "s1" → "s2" → "s1". Give one of their exits a number of rounds.',
            self::blocking($proof),
        );
        self::assertSame([0, 0], $proof->length);
    }

    public function testALoopWithABoundIsProvedWithTheQuestionsOfEachRound(): void
    {
        $back = ['exits' => [['when' => 'share < 1', 'to' => 's1', 'rounds' => 2]], 'else' => 'end'];
        $proof = self::proof([['s1', ['one', 'two'], null], ['s2', ['one'], $back]]);

        self::assertSame([], self::blocking($proof));
        self::assertSame([3, 9], $proof->length);
        self::assertSame(['3', '3'], array_map(strval(...), $proof->points), 'a question is worth its marks once');
    }

    public function testALoopThatEveryoneGoesIsCountedSo(): void
    {
        $back = ['exits' => [['when' => 'share >= 0', 'to' => 's1', 'rounds' => 1]], 'else' => 'end'];
        $proof = self::proof([['s1', ['one'], $back]]);

        self::assertSame([2, 2], $proof->length);
        self::assertSame([ExitProof::MAY, ExitProof::MAY], array_column($proof->exits['s1'], 'says'));
    }

    public function testMoreTriesThanAreKeptBlock(): void
    {
        $back = ['exits' => [['when' => 'share < 1', 'to' => 's1', 'rounds' => 4]], 'else' => 'end'];
        $once = self::proof([['s1', ['one'], $back]], ['returns' => 1, 'credits' => ['1']]);

        self::assertContains(
            'One student could be asked the questions of "s1" 10 times; at most 9 are kept. Allow fewer rounds or returns.',
            self::blocking($once),
        );
        self::assertSame([], self::blocking(self::proof([['s1', ['one'], $back]])));
    }

    /**
     * @param list<array{when: string, to: string}> $exits
     * @param list<string>                          $says
     */
    #[TestWith([[['when' => 'share > 2', 'to' => 's2']], ['never', 'always']])]
    #[TestWith([[['when' => 'share <= 1', 'to' => 's2']], ['always', 'taken above']])]
    #[TestWith([[['when' => 'share < 1/2', 'to' => 's2'], ['when' => 'q1 = 0 and q2 = 0', 'to' => 's3']], ['may', 'taken above', 'may']])]
    #[TestWith([[['when' => 'q1 = 1 and q2 = 0', 'to' => 's2'], ['when' => 'q2 = 1/2', 'to' => 's3']], ['may', 'never', 'may']])]
    public function testEveryExitIsToldThatCanNeverOrAlwaysBeTaken(array $exits, array $says): void
    {
        $proof = self::proof([['s1', ['one', 'one'], ['exits' => $exits, 'else' => 'end']], ['s2', ['one'], null], ['s3', ['one'], null]]);

        self::assertSame($says, array_column($proof->exits['s1'], 'says'));
        self::assertTrue($proof->exits['s1'][0]->exact);
    }

    public function testWhatCanBeMendedWithoutThinkingSaysHow(): void
    {
        $again = ['exits' => [['when' => 'share < 1', 'to' => 's1']], 'else' => 's4'];
        $same = ['exits' => [['when' => 'share < 1', 'to' => 's3']], 'else' => 's3'];
        $proof = self::proof([['s1', ['one', 'gone'], $same], ['s2', [], null], ['s3', ['one'], $again], ['s4', ['one'], null]]);
        $mends = [];
        foreach ($proof->defects as $defect) {
            $mends[(string) $defect->mend][] = $defect->where;
        }

        self::assertSame(
            [[Defect::TAKE_OUT, ['e2']], [Defect::ONE_WAY, ['s1']], [Defect::TAKE_SECTION_OUT, ['s2']], [Defect::ROUNDS, ['s1']]],
            array_map(static fn (string $m): array => [$m, $mends[$m] ?? []], [
                Defect::TAKE_OUT, Defect::ONE_WAY, Defect::TAKE_SECTION_OUT, Defect::ROUNDS,
            ]),
        );
    }

    public function testAConditionThatCannotBeReadBlocksAndIsKept(): void
    {
        $route = ['exits' => [['when' => 'share < ', 'to' => 's2']], 'else' => 'end'];
        $proof = self::proof([['s1', ['one'], $route], ['s2', ['one'], null]]);

        self::assertStringStartsWith('A condition after "s1" cannot be read:', self::blocking($proof)[0]);
        self::assertCount(1, self::blocking($proof), 'what it would do is not held against the rest');
    }

    /**
     * @param list<string> $items
     * @param list<string> $says
     */
    #[TestWith([['one', 'two'], 2, false, []])]
    #[TestWith([['one', 'open'], 2, false, [
        'e1: The skill of this question can never count as shown: it takes 2 right answers, and there are places for 1.',
    ]])]
    #[TestWith([['drawn'], 3, true, []])]
    #[TestWith([['drawn'], 3, false, [
        'e1: The skill of this question can never count as shown: it takes 3 right answers, and there are places for 1.',
    ]])]
    #[TestWith([['one', 'two'], 2, true, [': No question here has numbers of its own, so missed questions come back as they are.']])]
    public function testFindsASkillThatCanNeverCountAsShown(array $items, int $right, bool $otherNumbers, array $says): void
    {
        $proof = self::proof([['s1', $items, null]], [
            'returns' => 2, 'credits' => ['1'], 'shown' => ['kind' => 'streak', 'right' => $right], 'otherNumbers' => $otherNumbers,
        ]);

        self::assertSame($says, array_values(array_map(
            static fn (Defect $d): string => $d->where.': '.$d->message,
            array_filter($proof->defects, static fn (Defect $d): bool => preg_match('/shown|numbers/', $d->message) === 1),
        )));
    }

    public function testARouteNeedsAQuestionThatIsMarkedAtOnce(): void
    {
        $proof = self::proof([['s1', ['open'], ['below' => '1/2', 'then' => 's2', 'else' => 'end']], ['s2', ['one'], null]]);

        self::assertContains('The route after "s1" needs at least one question that is marked at once.', self::blocking($proof));
    }

    public function testARouteToNowhereAndAMissingQuestionBlock(): void
    {
        $proof = self::proof([['s1', ['one', 'gone'], ['below' => '1/2', 'then' => 's9', 'else' => 'end']]]);

        self::assertContains('The route after "s1" leads to a section that does not exist.', self::blocking($proof));
        self::assertContains('This question is no longer in the bank.', self::blocking($proof));
    }

    public function testAnEmptyPaperCannotBePublished(): void
    {
        self::assertContains('The paper has no question yet.', self::blocking(self::proof([])));
    }

    /**
     * @param list<array{string, list<string>, array<string, mixed>|null}> $sections
     * @param array<string, mixed>|null                                    $mastery
     */
    private static function proof(array $sections, ?array $mastery = null): PaperProof
    {
        $n = 0;
        $json = ['version' => 1, 'title' => 'A paper', 'mastery' => $mastery,
            'sections' => array_map(static function (array $s) use (&$n): array {
                return ['id' => $s[0], 'title' => $s[0], 'route' => $s[2],
                    'entries' => array_map(static function (string $item) use (&$n): array {
                        return ['id' => 'e'.(++$n), 'kind' => 'question', 'item' => $item, 'points' => '1'];
                    }, $s[1])];
            }, $sections)];
        $items = [];
        foreach (['one', 'two', 'open'] as $rule) {
            $items[$rule] = Rules::item($rule);
        }

        $drawn = ['variables' => [['name' => 'h', 'choices' => ['1', '2', '3']]]] + $items['one']->toArray();

        return PaperProof::of(PaperReader::read($json), array_map(ItemTemplate::of(...), $items) + ['drawn' => ItemTemplate::read($drawn)]);
    }

    /** @return list<string> */
    private static function blocking(PaperProof $proof): array
    {
        return array_values(array_map(
            static fn (Defect $d): string => $d->message,
            array_filter($proof->defects, static fn (Defect $d): bool => $d->blocks),
        ));
    }
}
