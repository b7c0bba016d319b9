<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Marking;

use ChalkLadder\Server\Tests\ApiCase;

final class KeysTest extends ApiCase
{
    public function testAChangedKeyIsPreviewedAppliedAndUndone(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']]]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['a']]]);
        $option = static fn (string $id, bool $key): array => [
            'id' => $id,
            'text' => "<p>$id</p>",
            'key' => $key,
            'feedback' => '',
            'misconception' => null,
        ];
        $body = ['rule' => ['options' => [$option('a', false), $option('b', true)]]];
        $this->as($this->world->teacher);

        $preview = $this->get('POST', "/handouts/$handout/keys/e-choice/preview", $body);
        self::assertSame(['Ada Okafor'], $preview->column('gains', 'student'));
        self::assertSame(['Benoît Larsen'], $preview->column('loses', 'student'));
        self::assertSame([0.0, 1.0], $this->marks($handout), 'a preview changes nothing');

        $applied = $this->get('POST', "/handouts/$handout/keys/e-choice", $body + ['reason' => 'The log says so.']);
        self::assertSame([1.0, 0.0], $this->marks($handout));
        self::assertTrue($applied->at('bankToo'));
        $line = $this->get('GET', "/handouts/$handout/marking/e-choice")->list('keyChanges')[0];
        self::assertSame(
            [$applied->text('changeId'), 'Teacher', 'The log says so.', '<p>b</p>', 1, 1, true],
            array_map($line->at(...), ['id', 'by', 'reason', 'after', 'gains', 'loses', 'undoable']),
        );
        $this->get('POST', '/key-changes/'.$applied->text('changeId').'/undo');
        self::assertSame([0.0, 1.0], $this->marks($handout));
        $this->refused(409, 'POST', '/key-changes/'.$applied->text('changeId').'/undo');
        $line = $this->get('GET', "/handouts/$handout/marking/e-choice")->list('keyChanges')[0];
        self::assertSame(
            [false, 'Teacher', 1, 1],
            array_map($line->at(...), ['undoable', 'undoneBy', 'gains', 'loses']),
            'the history stays',
        );
    }

    public function testOnlyTheLatestOfSeveralChangesCanBeTakenBack(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-text' => ['text' => 'Secret Reef']]);
        $this->as($this->world->teacher);
        $first = $this->get(
            'POST',
            "/handouts/$handout/keys/e-text",
            ['accept' => ['text' => 'Secret Reef'], 'credit' => '1/2'],
        )->text('changeId');
        $second = $this->get(
            'POST',
            "/handouts/$handout/keys/e-text",
            ['accept' => ['text' => 'Secret Bay'], 'credit' => '1'],
        )->text('changeId');
        $lines = fn (): array => array_map(
            static fn ($l): array => [$l->text('id'), $l->at('undoable')],
            $this->get('GET', "/handouts/$handout/marking/e-text")->list('keyChanges'),
        );

        self::assertSame([[$second, true], [$first, false]], $lines());
        self::assertSame(
            ['“Secret Bay” for credit 1', '“Secret Reef” for credit 1/2'],
            $this->get('GET', "/handouts/$handout/marking/e-text")->column('keyChanges', 'accepted'),
        );
        $this->refused(409, 'POST', "/key-changes/$first/undo");
        $this->get('POST', "/key-changes/$second/undo");
        self::assertSame([[$second, false], [$first, true]], $lines());
        $this->get('POST', "/key-changes/$first/undo");
        self::assertSame([0.0], $this->marks($handout));
    }

    public function testAChangedKeyBringsNothingThatActsToStudents(): void
    {
        $handout = $this->world->handOut();
        $hostile = '<p>b</p><meta http-equiv="refresh" content="0;url=http://127.0.0.1:1/">'
            .'<div style="position:fixed">over</div><img src=x onerror=alert(1)><iframe src="//x.example"></iframe>';
        $plain = '<img src=x onerror=alert(1)> <p>b</p>';
        $option = static fn (string $id, bool $key, string $text): array => [
            'id' => $id,
            'text' => $text,
            'key' => $key,
            'feedback' => $key ? $plain : $hostile,
            'misconception' => null,
        ];
        $rule = ['options' => [$option('a', true, '<p>a</p>'), $option('b', false, $hostile)]];
        $this->as($this->world->teacher)->get('POST', "/handouts/$handout/keys/e-choice", ['rule' => $rule]);

        $seen = (string) $this->as($this->world->students['Ada Okafor'])->ask('POST', "/me/handouts/$handout/open")->getContent();
        self::assertStringContainsString('<p>b</p>', $seen);
        foreach (['http-equiv', 'position', 'onerror', 'iframe'] as $word) {
            self::assertStringNotContainsString($word, $seen);
        }
        $bank = $this->as($this->world->teacher)->get('GET', '/items/'.$this->world->items['choice']);
        self::assertSame('<p>b</p>over', $bank->text('item.rule.options.1.text'), 'nor home to the bank; words stay');
        self::assertSame('<p>b</p>over', $bank->text('item.rule.options.1.feedback'), 'rich text is cleaned');
        self::assertSame($plain, $bank->text('item.rule.options.0.feedback'), 'plain words are no rich text, and stay as they are typed');
    }

    public function testAMarkKeepsItsHistory(): void
    {
        $handout = $this->world->handOut();
        $id = $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']]]);
        $this->as($this->world->teacher);
        $mark = ['sittingId' => $id, 'entry' => 'e-choice', 'try' => 1];
        $event = $this->get('PUT', '/marks', $mark + ['credit' => '1/2', 'comment' => 'Half right', 'markVersion' => 0]);
        self::assertSame(
            ['override', '0', '1/2', 'Half right', 'Teacher'],
            array_map($event->at(...), ['event.kind', 'event.before', 'event.after', 'event.comment', 'event.by']),
        );
        $this->as($this->world->lead)->get('PUT', '/marks', $mark + ['credit' => null, 'markVersion' => 1]);

        $history = $this->get('GET', "/handouts/$handout/marking/e-choice")->list('answers.0.history');
        self::assertSame(
            [['override', '1/2', null, 'Lead'], ['override', '0', '1/2', 'Teacher']],
            array_map(static fn ($e): array => array_map($e->at(...), ['kind', 'before', 'after', 'by']), $history),
        );
    }

    public function testAnAcceptedAnswerHoldsForAllWhoGaveItButNotOverAHandMark(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-text' => ['text' => 'Secret Reef']]);
        $hand = $this->world->sit('Benoît Larsen', $handout, ['e-text' => ['text' => 'secret reef']]);
        $this->as($this->world->teacher)->get(
            'PUT',
            '/marks',
            ['sittingId' => $hand, 'entry' => 'e-text', 'try' => 1, 'credit' => '0', 'markVersion' => 0],
        );
        $this->refused(409, 'PUT', '/marks', ['sittingId' => $hand, 'entry' => 'e-text', 'try' => 1, 'credit' => '1', 'markVersion' => 0]);
        $done = $this->get('POST', "/handouts/$handout/keys/e-text", ['accept' => ['text' => 'SECRET  reef'], 'credit' => '1/2']);

        self::assertCount(1, $done->list('gains'));
        self::assertSame(1, $done->int('byHand'));
        self::assertSame([1.0, 0.0], $this->marks($handout));
    }

    public function testResultsCountTheHandedInWork(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-choice' => ['options' => ['b']], 'e-number' => ['text' => '12.34']]);
        $this->world->sit('Benoît Larsen', $handout, ['e-choice' => ['options' => ['a']], 'e-number' => ['text' => '98.76 m']]);
        $results = $this->as($this->world->teacher)->get('GET', "/handouts/$handout/results");

        self::assertEqualsWithDelta(1.5, $results->at('mean.value'), 1e-9);
        self::assertSame(2, $results->int('mean.n'));
        self::assertEqualsWithDelta(0.5, $results->at('questions.0.facility.value'), 1e-9);
        self::assertSame('SECRET idea', $results->text('misconceptions.0.name'));
        self::assertSame(2, $results->int('misconceptions.0.students.0.shown'));
        $csv = $this->ask('GET', "/handouts/$handout/marks.csv")->getContent();
        self::assertStringContainsString('"Benoît Larsen",1,yes,marked,3,9,', (string) $csv);
        $groups = $this->get('GET', "/handouts/$handout/groups");
        self::assertSame(['Footing'], $groups->column('groups', 'name'));
    }

    /** @return list<float> marks by name */
    private function marks(string $handout): array
    {
        return array_map(
            static fn ($r): float => $r->float('marks'),
            $this->tables->rows(
                'SELECT s.marks FROM sitting s JOIN student st ON st.id = s.student_id WHERE s.handout_id = :id ORDER BY st.name',
                ['id' => $handout],
            ),
        );
    }
}
