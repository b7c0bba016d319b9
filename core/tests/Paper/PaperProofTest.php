<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Paper\PaperReader;
use ChalkLadder\Core\Tests\Item\Rules;
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

        self::assertContains('These routes go round without end: "s1" → "s2" → "s1".', self::blocking($proof));
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

    /** @param list<array{string, list<string>, array<string, string>|null}> $sections */
    private static function proof(array $sections): PaperProof
    {
        $n = 0;
        $json = ['version' => 1, 'title' => 'A paper', 'mastery' => null,
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

        return PaperProof::of(PaperReader::read($json), array_map(ItemTemplate::of(...), $items));
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
