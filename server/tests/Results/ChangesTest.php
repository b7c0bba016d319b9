<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Results;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

final class ChangesTest extends ApiCase
{
    private const ALL = ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK'], 'e-number' => ['text' => '98.76']];

    public function testTheFirstHandoutHasNothingBeforeIt(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, self::ALL);
        self::assertSame([[], null, [], []], $this->told($this->change($handout)));
    }

    public function testOnlyStudentsOfBothAreComparedAndTheLatestComesFirst(): void
    {
        $first = $this->world->handOut();
        $this->sitAll($first, ['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh']);
        $second = $this->world->handOut();
        $this->sitAll($second, ['Ada Okafor', 'Benoît Larsen']);
        $alone = $this->world->handOut();
        $this->sitAll($alone, ['Ada Okafor']);
        $now = $this->world->handOut();
        $this->world->sit('Ada Okafor', $now, ['e-choice' => ['options' => ['a']]]);
        $this->world->sit('Benoît Larsen', $now, self::ALL);
        // Not handed in yet, so no part of it.
        $this->as($this->world->students['Cleo Marsh'])->get('POST', "/me/handouts/$now/open");
        $change = $this->change($now);

        self::assertSame(
            [[$second, 2], [$first, 2]],
            array_map(static fn (Json $e): array => [$e->text('id'), $e->int('students')], $change->list('earlier')),
            'one student is no comparison',
        );
        self::assertSame([$second, true], [$change->text('since'), $change->at('same')]);
        self::assertEquals(
            [['Benoît Larsen', 5 / 9, 5 / 9], ['Ada Okafor', 5 / 9, 1 / 9]],
            array_map(static fn (Json $s): array => [$s->text('name'), $s->at('before'), $s->at('after')], $change->list('students')),
        );
        self::assertNull($change->at('lines.0.skill'));
        self::assertEqualsWithDelta(
            [5 / 9, 3 / 9, -2 / 9],
            [$change->at('lines.0.before'), $change->at('lines.0.after'), $change->at('lines.0.change.value')],
            1e-12,
        );
        self::assertSame([2, 'few'], [$change->at('lines.0.change.n'), $change->at('lines.0.change.note')]);
        self::assertSame($first, $this->change($now, $first)->text('since'));
    }

    public function testASkillIsComparedWhereBothAskForIt(): void
    {
        $skill = $this->as($this->world->teacher)->get('POST', '/bank/skills', ['name' => 'Heights'])->text('id');
        $edition = fn (string $type, int $version): string => $this->publish($type, $skill, $version);
        $before = $this->world->handOut([], $edition('choice', 1));
        $this->sitAll($before, ['Ada Okafor', 'Benoît Larsen']);
        $after = $this->world->handOut([], $edition('number', 2));
        $this->world->sit('Ada Okafor', $after, ['e-choice' => ['options' => ['a']], 'e-number' => ['text' => '12.34']]);
        $this->world->sit('Benoît Larsen', $after, ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => '98.76']]);
        $lines = $this->change($after)->list('lines');

        self::assertSame([null, 'Heights'], array_map(static fn (Json $l): mixed => $l->at('skill'), $lines));
        // Choice (1 mark) before; choice and number (3 marks) now: 1/3 and 2/3.
        self::assertEqualsWithDelta(
            [1.0, 0.5, -0.5],
            [$lines[1]->at('before'), $lines[1]->at('after'), $lines[1]->at('change.value')],
            1e-12,
        );
        self::assertTrue($this->change($after)->at('same'), 'the same questions in another edition');
    }

    public function testSomebodyElsesWorkIsNoPast(): void
    {
        $first = $this->world->handOut();
        $this->sitAll($first, ['Ada Okafor', 'Benoît Larsen']);
        $now = $this->world->handOut();
        $this->sitAll($now, ['Cleo Marsh']);
        $this->as($this->world->teacher);
        self::assertSame([], $this->change($now)->at('earlier'));
        foreach ([$first, $now, 'nothing', ''] as $since) {
            $this->refused(404, 'GET', "/handouts/$now/results/change?since=$since");
        }
    }

    /** Gives one more question the skill and publishes. */
    private function publish(string $type, string $skill, int $version): string
    {
        $this->as($this->world->teacher)->get(
            'PUT',
            '/items/'.$this->world->items[$type],
            ['item' => ['skill' => $skill] + $this->world->itemDocuments()[$type], 'version' => 1],
        );
        $this->get('PUT', '/papers/'.$this->world->paperId, ['paper' => $this->world->paperDocument(), 'version' => $version]);

        return $this->get('POST', '/papers/'.$this->world->paperId.'/publish', ['version' => $version + 1])->text('editionId');
    }

    /** @param list<string> $names */
    private function sitAll(string $handout, array $names): void
    {
        foreach ($names as $name) {
            $this->world->sit($name, $handout, self::ALL);
        }
    }

    private function change(string $handout, string $since = ''): Json
    {
        return $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results/change".($since === '' ? '' : "?since=$since"));
    }

    /** @return list<mixed> */
    private function told(Json $change): array
    {
        return [$change->at('earlier'), $change->at('since'), $change->at('lines'), $change->at('students')];
    }
}
