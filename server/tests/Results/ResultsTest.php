<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Results;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

final class ResultsTest extends ApiCase
{
    public function testNobodyHasHandedInAndNothingIsMadeUp(): void
    {
        $results = $this->results($this->world->handOut());

        self::assertSame([null, 0], [$results->at('mean.value'), $results->at('mean.n')]);
        self::assertSame(
            [null, null, null],
            [$results->at('alpha.value'), $results->at('questions.0.facility.value'), $results->at('questions.0.itemRest.value')],
        );
        self::assertSame([], $results->at('students'));
        self::assertSame([], $results->at('misconceptions'));
    }

    public function testOneStudentCountsOnceByTheStatedRule(): void
    {
        foreach (['best' => 1.0, 'latest' => 0.0, 'first' => 0.0] as $rule => $marks) {
            $handout = $this->world->handOut(['attempts' => 3, 'counts' => $rule]);
            foreach (['b', 'a', 'b'] as $option) {
                $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => [$option]]]);
            }
            $results = $this->results($handout);
            self::assertSame("$rule attempt counts", $results->text('attemptRule'));
            self::assertSame([1, 1], [$results->at('mean.n'), $results->at('doubles')]);
            self::assertEquals($marks, $results->at('mean.value'));
            self::assertCount(2, $results->list('students.0.others'));
        }
    }

    public function testARecordTellsOfEachUseByClassAndEdition(): void
    {
        $id = $this->world->items['choice'];
        self::assertSame([], $this->as($this->world->teacher)->get('GET', "/items/$id/uses")->list('uses'), 'nobody has sat it');
        $first = $this->world->handOut();
        foreach (['Ada Okafor' => 'a', 'Benoît Larsen' => 'b'] as $name => $option) {
            $this->world->sit($name, $first, ['e-choice' => ['options' => [$option]]]);
        }
        $other = $this->world->join('8 Wren', 'Dov Lind');
        $paper = '/papers/'.$this->world->paperId;
        $this->as($this->world->teacher)->get('PUT', $paper, ['paper' => ['title' => 'Again'] + $this->world->paperDocument(), 'version' => 1]);
        $second = $this->world->handOut([], $this->get('POST', $paper.'/publish', ['version' => 2])->text('editionId'), [$other->id]);
        $this->world->sit('Ada Okafor', $second, ['e-choice' => ['options' => ['a']]]);

        $uses = $this->as($this->world->teacher)->get('GET', "/items/$id/uses");
        self::assertSame([$second, $first], $uses->column('uses', 'handoutId'), 'the latest first');
        self::assertSame([2, 1], $uses->column('uses', 'edition'));
        self::assertEquals([1.0, 0.5], [$uses->at('uses.0.question.facility.value'), $uses->at('uses.1.question.facility.value')]);
        self::assertSame([1, 2], [$uses->at('uses.0.question.facility.n'), $uses->at('uses.1.question.facility.n')]);
        self::assertSame(
            $this->results($first)->map('questions.0'),
            $uses->map('uses.1.question'),
            'the same figures as in the results',
        );
        self::assertSame([], $uses->list('uses.1.classes'), 'one class alone is the whole');
    }

    public function testTheMeanOfAllAttemptsMayCount(): void
    {
        $handout = $this->world->handOut(['attempts' => 3, 'counts' => 'mean']);
        $this->world->sit(
            'Ada Okafor',
            $handout,
            ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK'], 'e-number' => ['text' => '98.76']],
        );
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']], 'e-text' => ['text' => 'SECRETBROOK']]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['a']]]);
        $results = $this->results($handout);

        self::assertSame('mean of all attempts counts', $results->text('attemptRule'));
        self::assertSame([2, 1], [$results->at('mean.n'), $results->at('doubles')]);
        self::assertEquals(
            [[3.0, 2, [5.0, 1.0], []], [1.0, 1, [], []]],
            array_map(
                static fn (Json $s): array => [$s->at('marks'), $s->at('attempt'), $s->at('averaged'), $s->at('others')],
                $results->list('students'),
            ),
        );
        // The number was reached in one attempt of Ada's only, which alone speaks for it.
        self::assertEquals(
            [0.75, 0.75, 1.0],
            array_slice(array_map(static fn (Json $q): mixed => $q->at('facility.value'), $results->list('questions')), 0, 3),
        );
        self::assertSame(
            [1, 1],
            array_map(static fn (Json $o): int => $o->int('count'), $results->list('questions.0.options')),
            'a student is one count among the options, by the latest answer',
        );
        self::assertSame(
            [['secretbrook', 1]],
            array_map(static fn (Json $l): array => [$l->text('answer'), $l->int('count')], $results->list('questions.1.lines')),
        );
    }

    public function testOmittedNotReachedAndWaitingAreToldApart(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit(
            'Ada Okafor',
            $handout,
            ['e-choice' => ['options' => ['a']], 'e-number' => ['text' => '98.76'], 'e-open' => ['text' => 'The moon.']],
        );
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['a']]]);
        $questions = $this->results($handout)->list('questions');
        $tally = array_map(static fn (Json $q): array => [$q->at('omitted'), $q->at('notReached'), $q->at('waiting')], $questions);

        self::assertSame([[0, 0, 0], [1, 1, 0], [0, 1, 0], [0, 1, 1]], $tally);
        self::assertEquals(
            [1, 1],
            [$questions[2]->at('facility.value'), $questions[2]->at('facility.n')],
            'who did not come that far is not counted',
        );
        self::assertNull($questions[3]->at('facility.value'), 'what waits says nothing yet');
    }

    public function testOptionsAreCountedWithTheirLettersAndIdeas(): void
    {
        $handout = $this->world->handOut();
        $this->sitAll($handout, ['Ada Okafor' => 'a', 'Benoît Larsen' => 'b', 'Cleo Marsh' => 'b']);
        $options = $this->results($handout)->list('questions.0.options');

        self::assertSame(
            [['A', 'right', true, 1], ['B', 'wrong', false, 2]],
            array_map(static fn (Json $o): array => [$o->at('letter'), $o->at('text'), $o->at('key'), $o->at('count')], $options),
        );
        self::assertEqualsWithDelta(2 / 3, $options[1]->at('share'), 1e-12);
        self::assertSame('SECRET idea', $options[1]->at('misconception'));
    }

    public function testWrittenAnswersAreCountedAsTheyWereRead(): void
    {
        $handout = $this->world->handOut();
        foreach (['Ada Okafor' => '12.34', 'Benoît Larsen' => '12.34 m', 'Cleo Marsh' => '98.76 m'] as $name => $text) {
            $this->world->sit($name, $handout, ['e-number' => ['text' => $text]]);
        }
        $lines = $this->results($handout)->list('questions.2.lines');

        self::assertSame(3, array_sum(array_map(static fn (Json $l): int => $l->int('count'), $lines)));
        self::assertSame(
            ['right', 'wrong'],
            array_values(array_unique(array_map(static fn (Json $l): string => $l->text('verdict'), array_reverse($lines)))),
        );
    }

    public function testAMisconceptionIsLikelyOnlyOnEnoughEvidence(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => '12.34']]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => '98.76']]);
        $idea = $this->results($handout)->list('misconceptions')[0];

        self::assertSame(
            [['Ada Okafor', 2, 2], ['Benoît Larsen', 1, 2]],
            array_map(static fn (Json $s): array => [$s->at('name'), $s->at('shown'), $s->at('offered')], $idea->list('students')),
        );
        // Beta(1, 3) prior: (1 + shown) / (4 + offered).
        self::assertEqualsWithDelta(0.5, $idea->at('students.0.rate.value'), 1e-12);
        self::assertEqualsWithDelta(1 / 3, $idea->at('students.1.rate.value'), 1e-12);
    }

    public function testEveryFigureSaysItsNAndFormula(): void
    {
        $handout = $this->world->handOut();
        $this->sitAll($handout, ['Ada Okafor' => 'a', 'Benoît Larsen' => 'b', 'Cleo Marsh' => 'b']);
        $results = $this->results($handout);
        foreach ([
            'mean',
            'median',
            'sd',
            'quartiles',
            'alpha',
            'sem',
            'questions.0.facility',
            'questions.0.itemRest',
            'questions.0.upperLower',
            'questions.0.alphaIfDropped',
        ] as $figure) {
            self::assertNotSame('', $results->text("$figure.formula"), $figure);
            self::assertGreaterThanOrEqual(0, $results->int("$figure.n"));
            if ($results->at("$figure.value") === null && $results->at("$figure.low") === null) {
                self::assertNotNull($results->at("$figure.note"), "$figure says why it is missing");
            }
        }
        self::assertEqualsWithDelta(1 / 3, $results->at('questions.0.facility.value'), 1e-12);
        self::assertLessThan(1 / 3, $results->at('questions.0.facility.low'));
        self::assertGreaterThan(1 / 3, $results->at('questions.0.facility.high'));
    }

    public function testRungsAndBinsHoldEveryStudentOnce(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit(
            'Ada Okafor',
            $handout,
            ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK'], 'e-number' => ['text' => '98.76']],
        );
        $this->sitAll($handout, ['Benoît Larsen' => 'a', 'Cleo Marsh' => 'b']);
        $results = $this->results($handout);

        self::assertSame(3, array_sum(array_map(static fn (Json $r): int => $r->int('students'), $results->list('rungs'))));
        self::assertSame(3, array_sum(array_map(static fn (Json $b): int => $b->int('students'), $results->list('bins'))));
        self::assertSame('9', $results->text('points'));
        self::assertSame(2, $results->int('students.0.rung'), '5 of 9 is on the second rung');
    }

    public function testWhatWaitsForAMarkerPutsNobodyOnALowerRung(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit(
            'Ada Okafor',
            $handout,
            [
                'e-choice' => ['options' => ['a']],
                'e-text' => ['text' => 'SECRETROCK'],
                'e-number' => ['text' => '98.76'],
                'e-open' => ['text' => 'The moon.'],
            ],
        );
        $this->world->sit(
            'Benoît Larsen',
            $handout,
            ['e-choice' => ['options' => ['a']], 'e-text' => ['text' => 'SECRETROCK'], 'e-number' => ['text' => '98.76']],
        );
        $students = fn (): array => array_map(
            static fn (Json $s): array => [$s->at('marks'), $s->at('of'), $s->at('waiting'), $s->at('rung')],
            $this->results($handout)->list('students'),
        );
        self::assertEquals([[5, 9, 4, 3], [5, 9, 0, 2]], $students(), 'who left it blank has lost it; who waits has not');

        $this->get(
            'PUT',
            '/marks',
            [
                'sittingId' => $this->results($handout)->text('students.0.sittingId'),
                'entry' => 'e-open',
                'try' => 1,
                'levels' => [0],
                'comment' => '',
                'markVersion' => 0,
            ],
        );
        self::assertEquals([[5, 9, 0, 2], [5, 9, 0, 2]], $students());
    }

    public function testWhereNothingCountsYetNobodyIsOnARung(): void
    {
        $this->as($this->world->teacher)->get(
            'PUT',
            '/papers/'.$this->world->paperId,
            [
                'paper' => ['sections' => [[
                    'id' => 's1',
                    'title' => 'Open',
                    'entries' => [['id' => 'e-open', 'kind' => 'question', 'item' => $this->world->items['open'], 'points' => '4']],
                    'route' => null,
                ]]] + $this->world->paperDocument(),
                'version' => 1,
            ],
        );
        $handout = $this->world->handOut(
            [],
            $this->get('POST', '/papers/'.$this->world->paperId.'/publish', ['version' => 2])->text('editionId'),
        );
        $this->world->sit('Ada Okafor', $handout, ['e-open' => ['text' => 'The moon.']]);
        $results = $this->results($handout);

        self::assertSame(0, $results->int('students.0.rung'));
        self::assertSame([0, 0, 0], $results->column('rungs', 'students'));
        self::assertSame('rung', $this->get('GET', "/handouts/$handout/groups?by=rung")->text('aim'));
    }

    public function testAMapNeedsEnoughToStandOn(): void
    {
        $handout = $this->world->handOut();
        $this->sitAll($handout, ['Ada Okafor' => 'a', 'Benoît Larsen' => 'b']);
        $map = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results/model");

        self::assertSame([[], []], [$map->at('questions'), $map->at('students')]);
        self::assertStringContainsString('A map needs at least', $map->text('note'));
    }

    public function testSkillsAreSharesOfWhatWasReached(): void
    {
        $skill = $this->as($this->world->teacher)->get('POST', '/bank/skills', ['name' => 'Heights'])->text('id');
        foreach (['choice', 'number'] as $type) {
            $this->get(
                'PUT',
                '/items/'.$this->world->items[$type],
                ['item' => ['skill' => $skill] + $this->world->itemDocuments()[$type], 'version' => 1],
            );
        }
        $edition = $this->get('POST', '/papers/'.$this->world->paperId.'/publish', ['version' => 1])->text('editionId');
        $handout = $this->world->handOut([], $edition);
        $this->world->sit(
            'Ada Okafor',
            $handout,
            ['e-choice' => ['options' => ['a']], 'e-number' => ['text' => '12.34'], 'e-open' => ['text' => 'x']],
        );
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['a']]]);
        $skills = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results/skills");

        self::assertSame(
            [['Heights', 2]],
            array_map(static fn (Json $s): array => [$s->at('name'), $s->at('questions')], $skills->list('skills')),
        );
        self::assertEquals([0.5, 2], [$skills->at('students.0.shares.0.value'), $skills->at('students.0.shares.0.n')]);
        self::assertEquals(
            [1.0, 1],
            [$skills->at('students.1.shares.0.value'), $skills->at('students.1.shares.0.n')],
            'what was not reached says nothing',
        );
        self::assertSame(
            [0, 0, 0, 0],
            [
                $skills->at('students.0.standing.0'),
                $skills->at('students.1.standing.0'),
                $skills->at('students.0.toOthers.0'),
                $skills->at('students.1.toOthers.0'),
            ],
            'too few to speak of strength',
        );
        // 0.3 at the start; right, then wrong, by hand: 0.3·0.9/(0.3·0.9+0.7·0.25) = 0.6067, then 0.15 of the rest.
        $right = 0.27 / 0.445;
        self::assertEqualsWithDelta($right + 0.15 * (1 - $right), $skills->at('students.1.known.0.value'), 1e-12);
        self::assertSame([2, 'few'], [$skills->at('students.0.known.0.n'), $skills->at('students.0.known.0.note')]);
    }

    public function testClassesAreComparedByTheShareOfTheMarks(): void
    {
        $handout = $this->world->handOut();
        $this->sitAll($handout, ['Ada Okafor' => 'a', 'Benoît Larsen' => 'b', 'Cleo Marsh' => 'a']);
        $classes = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results/classes")->list('classes');

        self::assertSame(['8 Kestrel'], array_map(static fn (Json $c): mixed => $c->at('name'), $classes));
        self::assertEqualsWithDelta(2 / 27, $classes[0]->at('share.value'), 1e-9);
        self::assertNull($classes[0]->at('difference.value'));
        self::assertSame([], $classes[0]->at('differing'));
    }

    public function testFiguresMayBeOfOneClassAlone(): void
    {
        $dara = $this->world->join('8 Tern', 'Dara Quill');
        $handout = $this->world->handOut(students: [$dara->id]);
        $this->sitAll($handout, ['Ada Okafor' => 'a', 'Benoît Larsen' => 'b']);
        $this->world->sit('Dara Quill', $handout, ['e-choice' => ['options' => ['a']]], $dara);
        $as = $this->as($this->world->teacher);
        $of = static fn (string $class): Json => $as->get('GET', "/handouts/$handout/results?class=".rawurlencode($class));
        $name = static fn (Json $student): string => $student->text('name');
        $names = static fn (string $class): array => array_map($name, $of($class)->list('students'));

        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Dara Quill'], $names(''));
        self::assertSame(['Ada Okafor', 'Benoît Larsen'], $names('8 Kestrel'));
        self::assertSame(['Dara Quill'], $names('8 Tern'));
        self::assertSame([], $names('8 Nowhere'));
        self::assertSame([2, 1], [$of('8 Kestrel')->at('mean.n'), $of('8 Tern')->at('questions.0.facility.n')]);
        $skills = $as->get('GET', "/handouts/$handout/results/skills?class=8%20Tern");
        self::assertSame(['Dara Quill'], array_map(static fn (Json $s): string => $s->text('name'), $skills->list('students')));
    }

    public function testRivalsOfTheKeyAreRanked(): void
    {
        $handout = $this->world->handOut();
        $this->sitAll($handout, ['Ada Okafor' => 'a', 'Benoît Larsen' => 'b', 'Cleo Marsh' => 'b']);
        $rival = $this->results($handout)->list('confusions')[0];
        self::assertSame(
            ['e-choice', 'A', 'right', 'B', 'wrong', 1, 2, 'SECRET idea'],
            [
                $rival->at('entry'),
                $rival->at('key'),
                $rival->at('keyText'),
                $rival->at('rival'),
                $rival->at('rivalText'),
                $rival->at('keyCount'),
                $rival->at('rivalCount'),
                $rival->at('misconception'),
            ],
        );
        self::assertEqualsWithDelta(2 / 3, $rival->at('rivalry'), 1e-9);
    }

    public function testReliabilityIsToldWhileAnswersWait(): void
    {
        $handout = $this->world->handOut();
        foreach ([
            'Ada Okafor' => ['a', '98.76'],
            'Benoît Larsen' => ['b', '1'],
            'Cleo Marsh' => ['a', '98.76'],
        ] as $name => [$option, $number]) {
            $this->world->sit(
                $name,
                $handout,
                ['e-choice' => ['options' => [$option]], 'e-number' => ['text' => $number], 'e-open' => ['text' => 'It waits.']],
            );
        }
        $results = $this->results($handout);
        self::assertIsFloat($results->at('alpha.value'));
        self::assertNull($results->at('questions.3.alphaIfDropped.value'));
        self::assertSame('Its answers still wait for a marker.', $results->at('questions.3.alphaIfDropped.note'));
    }

    /** @param array<string, string> $picks option by name */
    private function sitAll(string $handout, array $picks): void
    {
        foreach ($picks as $name => $option) {
            $this->world->sit($name, $handout, ['e-choice' => ['options' => [$option]]]);
        }
    }

    private function results(string $handout): Json
    {
        return $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results");
    }
}
