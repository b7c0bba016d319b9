<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\KnownSkill;
use ChalkLadder\Core\Paper\KnowledgeTracing;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class KnownSkillTest extends TestCase
{
    public function testTheFigureSaysWhatItStandsOn(): void
    {
        $skill = KnownSkill::of([]);
        $figure = $skill->figure([true, true, false, true, true]);
        self::assertSame([5, null], [$figure->n, $figure->note]);
        self::assertSame((new KnowledgeTracing())->trace([true, true, false, true, true])[4], $figure->value);
        self::assertStringContainsString('slip 0.10, guess 0.25: stated', $figure->formula);
        self::assertSame('few', $skill->figure([true])->note);
        self::assertSame([null, 'No answer on this skill yet.'], [$skill->figure([])->value, $skill->figure([])->note]);
    }

    public function testParametersComeBackFromManyAnswers(): void
    {
        $true = new KnowledgeTracing(0.2, 0.25, 0.08, 0.15);
        $found = KnownSkill::of(self::answers($true, 800, 10));
        self::assertTrue($found->fitted);
        self::assertSame(800, $found->n);
        self::assertEqualsWithDelta(
            [$true->known, $true->learn, $true->slip, $true->guess],
            [$found->tracing->known, $found->tracing->learn, $found->tracing->slip, $found->tracing->guess],
            0.05,
        );
        self::assertStringContainsString('fitted to the answers of 800 students', $found->figure([true])->formula);
    }

    public function testTooFewAnswersAreNotFittedTo(): void
    {
        $answers = self::answers(new KnowledgeTracing(), 30, 4);
        self::assertTrue(KnownSkill::of($answers)->fitted);
        self::assertFalse(KnownSkill::of(array_slice($answers, 1))->fitted);
        self::assertFalse(KnownSkill::of([array_slice($answers[0], 1), ...array_slice($answers, 1)])->fitted);
    }

    public function testAClassThatHasAllRightOrAllWrongStaysWithinTheChances(): void
    {
        foreach ([true, false] as $right) {
            $tracing = KnownSkill::of(array_fill(0, 40, array_fill(0, 6, $right)))->tracing;
            self::assertLessThanOrEqual(0.3, $tracing->slip);
            self::assertLessThanOrEqual(0.4, $tracing->guess);
            self::assertSame($right, $tracing->known > 0.5);
        }
    }

    /** @return list<list<bool>> */
    private static function answers(KnowledgeTracing $true, int $students, int $each): array
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'tracing', true)));
        $chance = static fn (): float => $random->getInt(0, 999_999_999) / 1e9;
        $all = [];
        for ($s = 0; $s < $students; ++$s) {
            $known = $chance() < $true->known;
            $answers = [];
            for ($t = 0; $t < $each; ++$t) {
                $answers[] = $known ? $chance() >= $true->slip : $chance() < $true->guess;
                $known = $known || $chance() < $true->learn;
            }
            $all[] = $answers;
        }

        return $all;
    }
}
