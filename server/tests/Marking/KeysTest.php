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
        $option = static fn (string $id, bool $key): array => ['id' => $id, 'text' => "<p>$id</p>", 'key' => $key, 'feedback' => '', 'misconception' => null];
        $body = ['rule' => ['options' => [$option('a', false), $option('b', true)]]];
        $this->as($this->world->teacher);

        $preview = $this->get('POST', "/handouts/$handout/keys/e-choice/preview", $body);
        self::assertSame(['Ada Okafor'], $preview->column('gains', 'student'));
        self::assertSame(['Benoît Larsen'], $preview->column('loses', 'student'));
        self::assertSame([0.0, 1.0], $this->marks($handout), 'a preview changes nothing');

        $applied = $this->get('POST', "/handouts/$handout/keys/e-choice", $body);
        self::assertSame([1.0, 0.0], $this->marks($handout));
        self::assertTrue($applied->at('bankToo'));
        $this->get('POST', '/key-changes/'.$applied->text('changeId').'/undo');
        self::assertSame([0.0, 1.0], $this->marks($handout));
        $this->refused(409, 'POST', '/key-changes/'.$applied->text('changeId').'/undo');
    }

    public function testAnAcceptedAnswerHoldsForAllWhoGaveItButNotOverAHandMark(): void
    {
        $handout = $this->world->handOut();
        $this->world->sit('Ada Okafor', $handout, ['e-text' => ['text' => 'Secret Reef']]);
        $hand = $this->world->sit('Benoît Larsen', $handout, ['e-text' => ['text' => 'secret reef']]);
        $this->as($this->world->teacher)->get('PUT', '/marks', ['sittingId' => $hand, 'entry' => 'e-text', 'try' => 1, 'credit' => '0', 'markVersion' => 0]);
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
        self::assertStringContainsString('Benoît Larsen,1,marked,3,', (string) $csv);
        $groups = $this->get('GET', "/handouts/$handout/groups");
        self::assertSame(['Footing'], $groups->column('groups', 'name'));
    }

    /** @return list<float> marks by name */
    private function marks(string $handout): array
    {
        return array_map(static fn ($r): float => $r->float('marks'), $this->database->rows('SELECT s.marks FROM sitting s JOIN student st ON st.id = s.student_id WHERE s.handout_id = :id ORDER BY st.name', ['id' => $handout]));
    }
}
