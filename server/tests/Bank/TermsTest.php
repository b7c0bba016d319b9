<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** Skills and misconceptions: named, placed below one another, put together and taken apart. */
final class TermsTest extends ApiCase
{
    private function skill(string $name, ?string $parent = null): string
    {
        return $this->as($this->world->teacher)->get('POST', '/bank/skills', ['name' => $name, 'parent' => $parent])->text('id');
    }

    private function idea(string $name): string
    {
        return $this->as($this->world->teacher)->get('POST', '/bank/misconceptions', ['name' => $name])->text('id');
    }

    /** @return array<string, array{string|null, int, list<string>}> by name: what stands above, questions, what is part of it */
    private function terms(string $kind): array
    {
        $all = $this->as($this->world->teacher)->get('GET', '/bank/terms')->list($kind);
        $names = [];
        foreach ($all as $term) {
            $names[$term->text('id')] = $term->text('name');
        }
        $terms = [];
        foreach ($all as $term) {
            $parent = $term->at('parent');
            $terms[$term->text('name')] = [
                is_string($parent) ? $names[$parent] : null,
                $term->int('questions'),
                array_map(static fn (Json $o): string => $o->text('name'), $term->list('also')),
            ];
        }

        return $terms;
    }

    public function testSkillsFormATreeWithoutRings(): void
    {
        $tides = $this->skill('Tides');
        $range = $this->skill('Range', $tides);
        $springs = $this->skill('Springs', $range);
        self::assertSame(['Range' => 'Tides', 'Springs' => 'Range', 'Tides' => null], array_map(
            static fn (array $t): ?string => $t[0],
            $this->terms('skills'),
        ));
        $this->refused(422, 'PUT', "/bank/skills/$tides", ['name' => 'Tides', 'parent' => $springs]);
        $this->refused(422, 'PUT', "/bank/skills/$tides", ['name' => 'Tides', 'parent' => $this->world->idea]);
        $this->get('PUT', "/bank/skills/$springs", ['name' => 'Springs and neaps', 'parent' => null]);
        self::assertNull($this->terms('skills')['Springs and neaps'][0]);
    }

    public function testTwoSkillsThatAreTheSameBecomeOneAndAreTakenApart(): void
    {
        $range = $this->skill('Range of tide');
        $same = $this->skill('Tidal range');
        $below = $this->skill('Neaps', $same);
        [$choice, $text] = [$this->world->items['choice'], $this->world->items['text']];
        $this->get('POST', '/items/many/skills', ['skills' => [$choice => $same, $text => $same]]);
        $paper = '/papers/'.$this->world->paperId;
        $plan = [['skill' => $range, 'marks' => '2'], ['skill' => $same, 'marks' => '3/2']];
        $this->get('PUT', $paper, ['paper' => $this->world->paperDocument() + ['plan' => $plan], 'version' => 1]);

        $this->get('PUT', "/bank/skills/$same/part-of", ['into' => $range]);
        self::assertSame(
            ['Neaps' => ['Range of tide', 0, []], 'Range of tide' => [null, 2, ['Tidal range']]],
            $this->terms('skills'),
        );
        self::assertSame($range, $this->get('GET', "/items/$choice")->text('item.skill'));
        self::assertSame([['skill' => $range, 'marks' => '7/2']], $this->get('GET', $paper)->at('paper.plan'));
        $this->refused(409, 'PUT', "/bank/skills/$same/part-of", ['into' => $range]);
        $this->refused(409, 'PUT', "/bank/skills/$range/part-of", ['into' => $same]);
        $this->refused(409, 'PUT', "/bank/skills/$range/part-of", ['into' => $range]);

        // An editor that was open all the while still knows the old one.
        $open = $this->get('GET', "/items/$text");
        $this->get('PUT', "/items/$text", ['item' => ['skill' => $same] + $open->map('item'), 'version' => $open->int('version')]);
        self::assertSame($range, $this->get('GET', "/items/$text")->text('item.skill'), 'what is part of another is that one');

        $this->get('DELETE', "/bank/skills/$same/part-of");
        self::assertSame($same, $this->get('GET', "/items/$choice")->text('item.skill'));
        self::assertSame($range, $this->get('GET', "/items/$text")->text('item.skill'), 'what was changed since then stays as it was meant');
        self::assertSame(['Tidal range', 1], [$this->terms('skills')['Neaps'][0], $this->terms('skills')['Tidal range'][1]]);
        $this->refused(409, 'DELETE', "/bank/skills/$same/part-of");
        $told = array_map(
            static fn (Json $l): string => $l->text('did').' '.$l->text('subject').' '.$l->text('detail'),
            $this->get('GET', '/trail')->list('lines'),
        );
        self::assertContains('put together Tidal range with “Range of tide”', $told);
        self::assertContains('took apart Tidal range from what it was put together with', $told);
        self::assertSame($below, $this->get('GET', '/bank/terms')->text('skills.0.id'));
    }

    public function testComingApartMakesNoRing(): void
    {
        $top = $this->skill('Tides');
        $part = $this->skill('Heights', $top);
        $below = $this->skill('By twelfths', $part);
        $whole = $this->skill('Heights of tide');
        $this->get('PUT', "/bank/skills/$part/part-of", ['into' => strtoupper($whole)]);
        $this->get('PUT', "/bank/skills/$top", ['name' => 'Tides', 'parent' => $below]);
        $this->get('DELETE', "/bank/skills/$part/part-of");
        self::assertSame(
            ['By twelfths' => 'Heights', 'Heights' => null, 'Heights of tide' => null, 'Tides' => 'By twelfths'],
            array_map(static fn (array $t): ?string => $t[0], $this->terms('skills')),
        );
        $this->refused(409, 'PUT', "/bank/skills/$part/part-of", ['into' => strtoupper($part)]);
    }

    public function testASkillTakesThePlaceOfTheOneItStoodBelow(): void
    {
        $top = $this->skill('Tides');
        $old = $this->skill('Heights', $top);
        $between = $this->skill('By twelfths', $old);
        $new = $this->skill('Heights of tide', $between);
        $this->get('PUT', "/bank/skills/$old/part-of", ['into' => $new]);
        self::assertSame(
            ['By twelfths' => 'Heights of tide', 'Heights of tide' => 'Tides', 'Tides' => null],
            array_map(static fn (array $t): ?string => $t[0], $this->terms('skills')),
        );
    }

    public function testTwoIdeasBecomeOneAlsoWhereTheyWereAnsweredBefore(): void
    {
        $this->world->sit('Ada Okafor', $handout = $this->world->handOut(), ['e-choice' => ['options' => ['b']]]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['a']]]);
        $whole = $this->idea('Reads it backwards');
        $part = $this->world->idea;
        $record = function (string $id): array {
            $found = array_values(array_filter(
                $this->as($this->world->teacher)->get('GET', '/bank/terms/records')->list('records'),
                static fn (Json $r): bool => $r->text('id') === $id,
            ))[0] ?? null;

            return [$found?->at('figure.value'), $found?->at('figure.n')];
        };
        self::assertEquals([0.5, 2], $record($part));
        self::assertSame([null, 0], $record($whole));

        $this->get('PUT', "/bank/misconceptions/$part/part-of", ['into' => $whole]);
        self::assertSame([null, null], $record($part), 'it stands for itself no more');
        self::assertEquals([0.5, 2], $record($whole));
        $results = $this->get('GET', "/handouts/$handout/results");
        self::assertSame(['Reads it backwards'], $results->column('misconceptions', 'name'));
        self::assertSame('Reads it backwards', $results->at('questions.0.options.1.misconception'));
        self::assertSame($whole, $this->get('GET', '/items/'.$this->world->items['choice'])->at('item.rule.options.1.misconception'));

        // A third takes in the two.
        $third = $this->idea('Turns it round');
        $this->get('PUT', "/bank/misconceptions/$whole/part-of", ['into' => $third]);
        self::assertSame(['Reads it backwards', 'SECRET idea'], $this->terms('misconceptions')['Turns it round'][2]);
        $this->get('DELETE', "/bank/misconceptions/$part/part-of");
        self::assertEquals([0.5, 2], $record($part));
    }

    public function testTwoSkillsCountAsOneInWorkThatKnewThemApart(): void
    {
        [$one, $other] = [$this->skill('Range of tide'), $this->skill('Tidal range')];
        $this->get('POST', '/items/many/skills', ['skills' => [
            $this->world->items['choice'] => $one, $this->world->items['text'] => $other,
        ]]);
        $paper = '/papers/'.$this->world->paperId;
        $handout = $this->world->handOut([], $this->get('POST', "$paper/publish", ['version' => 1])->text('editionId'));
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'Reef']]);
        $skills = fn (): array => array_map(
            static fn (Json $s): array => [$s->text('name'), $s->int('questions')],
            $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results/skills")->list('skills'),
        );
        self::assertEqualsCanonicalizing([['Range of tide', 1], ['Tidal range', 1]], $skills());
        $this->get('PUT', "/bank/skills/$other/part-of", ['into' => $one]);
        self::assertSame([['Range of tide', 2]], $skills());
        $this->get('DELETE', "/bank/skills/$other/part-of");
        self::assertCount(2, $skills());
    }

    public function testAnotherTeamsCannotBePutTogether(): void
    {
        $mine = $this->skill('Depths');
        $this->as($this->world->stranger);
        $theirs = $this->get('POST', '/bank/skills', ['name' => 'Depths'])->text('id');
        $this->refused(404, 'PUT', "/bank/skills/$theirs/part-of", ['into' => $mine]);
        $this->as($this->world->teacher)->refused(404, 'PUT', "/bank/skills/$mine/part-of", ['into' => $theirs]);
        $this->refused(422, 'PUT', "/bank/skills/$mine/part-of", ['into' => 'none']);
        $this->refused(404, 'PUT', "/bank/other/$mine/part-of", ['into' => $mine]);
    }
}
