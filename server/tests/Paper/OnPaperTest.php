<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Paper;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;
use ChalkLadder\Server\Tests\Plan;

/** A quiz whose questions stand on a sheet; its key is given afterwards, question by question. */
final class OnPaperTest extends ApiCase
{
    private const REQUEST = '0190a0a0-0000-7000-8000-00000000b001';
    private Json $paper;

    protected function setUp(): void
    {
        parent::setUp();
        $this->paper = $this->as($this->world->teacher)->get('POST', '/papers/on-paper', ['title' => 'Friday sheet', 'lines' => [
            ['count' => 2, 'kind' => 'choice', 'options' => 3, 'points' => '1'], ['count' => 1, 'kind' => 'number', 'points' => '2'],
            ['count' => 1, 'kind' => 'text', 'points' => '0.5'],
        ], 'requestId' => self::REQUEST]);
    }

    public function testItIsReadyToBeHandedOutAndItsQuestionsStayOutOfTheBank(): void
    {
        self::assertSame(1, $this->paper->int('edition'));
        self::assertSame([], array_filter($this->paper->list('proof.defects'), static fn (Json $d): bool => $d->at('blocks') === true));
        self::assertSame(['q1', 'q2', 'q3', 'q4'], $this->paper->column('paper.sections.0.entries', 'id'));
        $bank = (string) $this->ask('GET', '/items')->getContent();
        self::assertStringNotContainsString('on paper', $bank);
    }

    public function testAskedForTwiceItIsMadeOnce(): void
    {
        $before = $this->get('GET', '/papers')->column('papers', 'id');
        $asked = ['title' => 'Friday sheet', 'lines' => [['count' => 2, 'kind' => 'choice']]];
        $again = $this->get('POST', '/papers/on-paper', $asked + ['requestId' => self::REQUEST]);
        self::assertSame([$this->paper->text('id'), 1], [$again->text('id'), $again->int('edition')]);
        self::assertSame($before, $this->get('GET', '/papers')->column('papers', 'id'));
        $this->refused(422, 'POST', '/papers/on-paper', $asked);
        $other = $this->get('POST', '/papers/on-paper', $asked + ['requestId' => '0190a0a0-0000-7000-8000-00000000b002']);
        self::assertNotSame($this->paper->text('id'), $other->text('id'));
    }

    public function testAnswersWaitForTheKeyAndAreMarkedByIt(): void
    {
        $handout = $this->world->handOut(['feedback' => Plan::AT_ONCE, 'shuffleOptions' => true], $this->paper->text('editionId'));
        $sitting = $this->sit('Ada Okafor', $handout, 'b', '3.8', 'ebb');
        $this->sit('Benoît Larsen', $handout, 'a', '5', 'flood');
        $step = $this->as($this->world->students['Ada Okafor'])->get('GET', "/me/sittings/$sitting")->list('steps')[0];
        self::assertSame(['<p>A</p>', '<p>B</p>', '<p>C</p>'], $step->column('face.options', 'text'), 'letters are those of the sheet');
        self::assertSame('by hand', $step->at('told.verdict'));
        self::assertSame([['waits', 'waits', 'waits'], ['waits', 'waits', 'waits']], $this->codes($handout));
        self::assertSame([['a' => 'A', 'b' => 'B', 'c' => 'C'], ['a' => 'A', 'b' => 'B', 'c' => 'C'], [], []], $this->columns($handout));

        $change = $this->key($handout, 'q1', ['options' => ['b']]);
        $this->key($handout, 'q3', ['text' => '3.8']);
        $this->key($handout, 'q4', ['text' => 'ebb']);
        self::assertSame([['right', 'right', 'right'], ['wrong', 'wrong', 'wrong']], $this->codes($handout));
        self::assertSame([null, ['a' => 'A', 'b' => 'B', 'c' => 'C'], null, null], $this->columns($handout));
        $work = $this->as($this->world->teacher)->get('GET', "/sittings/$sitting");
        self::assertSame(['3.5', 'marked'], [$work->text('marks'), $work->text('state')]);

        // A key that was given by a slip is taken back, and the answers wait again.
        $this->get('POST', "/key-changes/$change/undo");
        self::assertSame('waits', $this->codes($handout)[0][0]);
        self::assertSame('handed in', $this->get('GET', "/sittings/$sitting")->text('state'));
    }

    public function testWithoutAKeyResultsMarkingAndExportsSayWhatIsThere(): void
    {
        $handout = $this->world->handOut([], $this->paper->text('editionId'));
        foreach (['Ada Okafor' => 'a', 'Benoît Larsen' => 'b', 'Cleo Marsh' => 'b'] as $who => $letter) {
            $this->sit($who, $handout, $letter, '3.8', 'ebb');
        }
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/close");
        $question = $this->get('GET', "/handouts/$handout/results")->list('questions')[0];
        self::assertSame([3, null, []], [$question->int('waiting'), $question->at('facility.value'), $question->list('flags')]);
        self::assertSame(200, $this->ask('GET', "/handouts/$handout/responses.csv")->getStatusCode());
        $desk = $this->get('GET', "/handouts/$handout/marking/q1");
        self::assertCount(3, $desk->list('answers'));
        // A key that is typed is accepted for all who wrote the same, as with every question.
        $this->key($handout, 'q4', ['text' => 'ebb']);
        $question = $this->get('GET', "/handouts/$handout/results")->list('questions')[3];
        self::assertSame([0, 1.0], [$question->int('waiting'), $question->at('facility.value')]);
    }

    public function testWhatIsNoSheetIsRefused(): void
    {
        $line = ['count' => 1, 'kind' => 'choice', 'options' => 4, 'points' => '1'];
        foreach ([
            ['title' => ' ', 'lines' => [$line]],
            ['title' => 'x', 'lines' => []],
            ['title' => 'x', 'lines' => [['count' => 60] + $line, ['count' => 60] + $line]],
            ['title' => 'x', 'lines' => [['kind' => 'open'] + $line]],
            ['title' => 'x', 'lines' => [['options' => 1] + $line]],
            ['title' => 'x', 'lines' => [['points' => '0'] + $line]],
        ] as $body) {
            $this->as($this->world->teacher)->refused(422, 'POST', '/papers/on-paper', $body + ['requestId' => self::REQUEST]);
        }
    }

    /** @param array<string, mixed> $accept */
    private function key(string $handout, string $entry, array $accept): string
    {
        return $this->as($this->world->teacher)->get('POST', "/handouts/$handout/keys/$entry", ['accept' => $accept])->text('changeId');
    }

    private function sit(string $who, string $handout, string $letter, string $number, string $word): string
    {
        return $this->world->sit($who, $handout, [
            'q1' => ['options' => [$letter]], 'q3' => ['text' => $number], 'q4' => ['text' => $word],
        ]);
    }

    /** @return list<list<mixed>> how q1, q3 and q4 of Ada and Benoît stand */
    private function codes(string $handout): array
    {
        $rows = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/lookout")->list('rows');

        return array_map(static fn (Json $row): array => array_map(
            static fn (string $entry): mixed => $row->at("cells.$entry.code"),
            ['q1', 'q3', 'q4'],
        ), array_slice($rows, 0, 2));
    }

    /** @return list<mixed> whose key is still to be given */
    private function columns(string $handout): array
    {
        return $this->get('GET', "/handouts/$handout/lookout")->column('columns', 'keyless');
    }
}
