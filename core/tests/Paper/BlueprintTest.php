<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Paper;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Paper\Blueprint;
use ChalkLadder\Core\Paper\BlueprintRow;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Paper\PaperReader;
use PHPUnit\Framework\TestCase;

final class BlueprintTest extends TestCase
{
    public function testEverySkillIsCountedWithWhatIsPlannedFirstAndWhatHasNoneLast(): void
    {
        $found = Blueprint::of(self::paper(), [
            'a' => self::question(null),
            'b' => self::question('scale', 0.5, 40),
            'c' => self::question('tides', 0.8, 60),
            'd' => self::question('tides'),
            'e' => self::question('tides', 0.2, 20),
        ]);

        self::assertSame(['tides', 'bearings', 'scale', null], array_map(static fn (BlueprintRow $r): ?string => $r->skill, $found->rows));
        [$tides, $bearings, $scale, $none] = $found->rows;
        self::assertSame(['c', 'd', 'e'], $tides->entries);
        self::assertSame(['7/2', '6'], [(string) $tides->marks, (string) $tides->wanted]);
        // 2 marks at 0.8 and ½ at 0.2 of the 2½ that have a record.
        self::assertEqualsWithDelta(1.7 / 2.5, $tides->facility, 1e-12);
        self::assertSame([2, 110.0], [$tides->known, $tides->seconds]);
        self::assertSame(['2.5 marks of 6 still to come.'], $tides->thin);
        self::assertSame(['2 marks of 2 still to come.'], $bearings->thin);
        self::assertNull($bearings->facility);
        self::assertSame(['One question alone says little of a skill.'], $scale->thin);
        self::assertNull($scale->wanted);
        self::assertSame(['These questions are evidence of nothing: name their skill in the bank.'], $none->thin);

        self::assertSame(['11/2', '8', 5, 3], [
            (string) $found->whole->marks, (string) $found->whole->wanted, count($found->whole->entries), $found->whole->known,
        ]);
        self::assertSame([], $found->whole->thin);
    }

    public function testWhatIsTooMuchTooEasyOrTooHardIsSaid(): void
    {
        $thin = static fn (float $facility): array => Blueprint::of(self::paper(['tides' => '1/2']), [
            'c' => self::question('tides', $facility),
            'd' => self::question('tides', $facility),
        ])->rows[0]->thin;

        self::assertSame(['2.5 marks more than planned.'], $thin(0.9));
        self::assertSame('Nearly everybody has these right, so that they tell students apart little.', $thin(0.901)[1]);
        self::assertSame('Hardly anybody has these right.', $thin(0.249)[1]);
        self::assertCount(1, $thin(0.25));
    }

    public function testAPaperWithoutQuestionsOrPlanHasNoLines(): void
    {
        $found = Blueprint::of(PaperReader::read(['version' => 1]), []);

        self::assertSame([], $found->rows);
        self::assertSame('0', (string) $found->whole->marks);
        self::assertNull($found->whole->wanted);
    }

    public function testASkillIsPlannedOnce(): void
    {
        self::assertSame([['skill' => 'tides', 'marks' => '6'], ['skill' => 'bearings', 'marks' => '2']], self::paper()->toArray()['plan']);
        $this->expectException(DocumentInvalid::class);
        PaperReader::read(['version' => 1, 'plan' => array_fill(0, 2, ['skill' => 'tides', 'marks' => '1'])]);
    }

    /** @param array<string, string> $plan */
    private static function paper(array $plan = ['tides' => '6', 'bearings' => '2']): Paper
    {
        $points = ['a' => '1', 'b' => '1', 'c' => '2', 'd' => '1', 'e' => '1/2'];

        return PaperReader::read([
            'version' => 1,
            'sections' => [['id' => 's', 'entries' => array_map(
                static fn (string $id): array => ['id' => $id, 'kind' => 'question', 'item' => $id, 'points' => $points[$id]],
                array_keys($points),
            )]],
            'plan' => array_map(
                static fn (string $skill, string $marks): array => ['skill' => $skill, 'marks' => $marks],
                array_keys($plan),
                $plan,
            ),
        ]);
    }

    /** @return array{skill: string|null, facility: float|null, seconds: float} */
    private static function question(?string $skill, ?float $facility = null, float $seconds = 30): array
    {
        return ['skill' => $skill, 'facility' => $facility, 'seconds' => $seconds];
    }
}
