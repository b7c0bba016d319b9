<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Paper\SkillMastery;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SkillMasteryTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string, string}> a rule, credits in order, and where a student stands */
    public static function states(): iterable
    {
        $streak = ['kind' => 'streak', 'right' => 3];
        $last = ['kind' => 'of last', 'right' => 4, 'answers' => 5];
        $share = ['kind' => 'share', 'share' => '4/5', 'answers' => 5];
        $known = ['kind' => 'known', 'share' => '0.9', 'known' => '0.3', 'learn' => '0.1', 'slip' => '0.1', 'guess' => '0.2'];
        foreach ([
            [$streak, '', 'Not shown yet: 0 right in a row; 3 in a row is asked for.'],
            [$streak, '1 1', 'Not shown yet: 2 right in a row; 3 in a row is asked for.'],
            [$streak, '0 1 1 1', 'Shown: 3 right in a row; 3 in a row is asked for.'],
            [$streak, '1 1 1 0', 'Not shown yet: 0 right in a row; 3 in a row is asked for.'],
            [$streak, '1 1 1/2 1', 'Not shown yet: 1 right in a row; 3 in a row is asked for.'],
            [$last, '1 1 1', 'Not shown yet: 3 of the last 3 answers right; 4 of the last 5 is asked for.'],
            [$last, '1 1 1 1', 'Shown: 4 of the last 4 answers right; 4 of the last 5 is asked for.'],
            [$last, '0 1 1 0 1 1', 'Shown: 4 of the last 5 answers right; 4 of the last 5 is asked for.'],
            [$last, '1 1 1 1 0 0', 'Not shown yet: 3 of the last 5 answers right; 4 of the last 5 is asked for.'],
            [$share, '', 'Not shown yet: no answer yet; 80 % over at least 5 answers is asked for.'],
            [$share, '1 1 1 1', 'Not shown yet: 100 % of the marks over 4 answers; 80 % over at least 5 answers is asked for.'],
            [$share, '1 1 1 1 0', 'Shown: 80 % of the marks over 5 answers; 80 % over at least 5 answers is asked for.'],
            [$share, '1 1 1 1/2 1/4', 'Not shown yet: 75 % of the marks over 5 answers; 80 % over at least 5 answers is asked for.'],
            [$known, '', 'Not shown yet: known with a chance of 0.30 after 0 answers, of which 0 right; a chance of 0.9 is asked for.'],
            [$known, '1', 'Not shown yet: known with a chance of 0.69 after 1 answer, of which 1 right; a chance of 0.9 is asked for.'],
            [$known, '1 1', 'Shown: known with a chance of 0.92 after 2 answers, of which 2 right; a chance of 0.9 is asked for.'],
        ] as [$rule, $credits, $sentence]) {
            yield $rule['kind'].': '.$credits => [$rule, $credits, $sentence];
        }
    }

    /** @param array<string, mixed> $rule */
    #[DataProvider('states')]
    public function testWhereAStudentStands(array $rule, string $credits, string $sentence): void
    {
        $given = array_map(BigRational::of(...), $credits === '' ? [] : explode(' ', $credits));
        $mastery = self::rule($rule);
        self::assertSame($sentence, $mastery->sentence($given));
        self::assertSame(str_starts_with($sentence, 'Shown'), $mastery->isShown($given));
    }

    public function testARuleThatCannotBeMetIsRefusedWithItsPlace(): void
    {
        foreach ([
            'right' => ['kind' => 'of last', 'right' => 6, 'answers' => 5], 'kind' => ['kind' => 'luck'], 'guess' => ['kind' => 'known', 'slip' => '0.6', 'guess' => '0.5'],
            'share' => ['kind' => 'share', 'answers' => 5], 'answers' => ['kind' => 'share', 'share' => '1', 'answers' => 51],
        ] as $path => $rule) {
            try {
                self::rule($rule);
                self::fail($path);
            } catch (DocumentInvalid $e) {
                self::assertSame($path, $e->problems[0]->path);
            }
        }
    }

    /** @param array<string, mixed> $json */
    private static function rule(array $json): SkillMastery
    {
        $node = new Node($json);
        $rule = SkillMastery::read($node);
        $node->finish();

        return $rule;
    }

    public function testSaysWhatIsAskedAndWhatIsStillWanted(): void
    {
        $streak = self::rule(['kind' => 'streak', 'right' => 3]);
        $last = self::rule(['kind' => 'of last', 'right' => 4, 'answers' => 5]);
        $share = self::rule(['kind' => 'share', 'share' => '4/5', 'answers' => 5]);
        $known = self::rule(['kind' => 'known', 'share' => '0.95']);
        $given = static fn (string $credits): array => array_map(BigRational::of(...), $credits === '' ? [] : explode(' ', $credits));

        self::assertSame(
            ['with 3 right in a row', 'with 4 of the last 5 right', 'with 80 % of the marks over at least 5 answers', 'once it is known with a chance of 0.95'],
            [$streak->asked(), $last->asked(), $share->asked(), $known->asked()],
        );
        self::assertSame('2 more right in a row', $streak->wanted($given('0 1')));
        self::assertSame('1 more right answer', $streak->wanted($given('1 1')));
        self::assertSame('shown', $streak->wanted($given('1 1 1')));
        self::assertSame('2 more right answers', $last->wanted($given('0 1 1')));
        self::assertSame('4 more right answers', $share->wanted($given('0')));
        self::assertSame('3 more right answers', $known->wanted($given('')));
        self::assertSame($known->toArray(), self::rule($known->toArray())->toArray());
    }
}
