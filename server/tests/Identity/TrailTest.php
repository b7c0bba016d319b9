<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Identity;

use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

final class TrailTest extends ApiCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->as($this->world->teacher);
    }

    public function testItTellsWhoChangedWhatTheLatestFirst(): void
    {
        $class = $this->get('POST', '/classes', ['name' => '9 Quay'])->text('id');
        $this->get('POST', "/classes/$class/roster", ['text' => "Dee Fox\nElo Marr"]);
        $this->as($this->world->lead)->get('POST', '/bank/skills', ['name' => 'Reading a log']);

        self::assertSame([
            ['Lead', 'named the skill', 'Reading a log'],
            ['Teacher', 'added 2 students to', '9 Quay'],
            ['Teacher', 'made the class', '9 Quay'],
        ], array_slice($this->lines(), 0, 3));
        self::assertSame(
            ['Teacher added 2 students to 9 Quay', 'Teacher made the class 9 Quay'],
            array_slice(
                array_map(static fn (array $l): string => implode(' ', $l), $this->lines('?kind=class&by='.$this->world->teacher->id)),
                0,
                2,
            ),
        );
        self::assertSame(
            [],
            array_filter($this->as($this->world->stranger)->lines(), static fn (array $l): bool => $l[2] === '9 Quay'),
            'another team has a trail of its own',
        );
    }

    public function testSavesOfAPaperInARowAreOneLine(): void
    {
        for ($version = 1; $version <= 3; ++$version) {
            $this->get(
                'PUT',
                '/papers/'.$this->world->paperId,
                ['paper' => ['title' => "Heights $version"] + $this->world->paperDocument(), 'version' => $version],
            );
        }
        $line = $this->get('GET', '/trail?kind=paper')->list('lines')[0];

        self::assertSame(['worked on the paper', 'Heights 3', 3], array_map($line->at(...), ['did', 'subject', 'times']));
    }

    public function testWhatWasArchivedAndWhoWasTakenOutCanBeBroughtBack(): void
    {
        $paper = $this->get(
            'POST',
            '/papers',
            ['paper' => ['title' => 'Spare'] + $this->world->paperDocument(), 'version' => 0],
        )->text('id');
        $this->get('DELETE', "/papers/$paper");
        $student = $this->world->students['Cleo Marsh']->id;
        $this->get('DELETE', '/classes/'.$this->world->classId."/students/$student");

        self::assertSame(['student', $student, $this->world->classId], $this->undo(0));
        self::assertSame(['paper', $paper, null], $this->undo(1));
        $this->get('POST', '/classes/'.$this->world->classId."/students/$student/return");
        $this->get('POST', "/papers/$paper/restore");
        foreach ($this->get('GET', '/trail')->list('lines') as $line) {
            self::assertNull($line->at('undo'), 'what is back cannot be brought back: '.$line->text('did'));
        }
    }

    public function testAChangedKeyCanBeTakenBackWhileItIsTheLatest(): void
    {
        $handout = $this->world->handOut();
        $accept = fn (string $text): string => $this->get(
            'POST',
            "/handouts/$handout/keys/e-text",
            ['accept' => ['text' => $text]],
        )->text('changeId');
        $accept('Secret Reef');
        $second = $accept('Secret Bay');

        self::assertSame(['key', $second, null], $this->undo(0));
        self::assertNull($this->undo(1));
        self::assertStringStartsWith('changed the key to question', $this->lines()[0][1]);
        $this->get('POST', "/key-changes/$second/undo");
        self::assertNull($this->undo(0));
        self::assertStringStartsWith('took back the new key', $this->lines('?kind=handout')[0][1]);
    }

    public function testItIsReadInStretches(): void
    {
        for ($i = 0; $i < 205; ++$i) {
            $acted = new Acted($this->world->lead->teamId, $this->world->lead->id, 'print slips', 'class', $this->world->classId);
            self::service(Transaction::class)->run(static fn () => self::service(Transaction::class)->note($acted));
        }
        $latest = $this->get('GET', '/trail');
        $older = $this->get('GET', '/trail?before='.$latest->text('older'));

        self::assertCount(200, $latest->list('lines'));
        $ids = static fn (Json $view): array => array_map(static fn (Json $l): string => $l->text('id'), $view->list('lines'));
        self::assertSame([], array_intersect($ids($latest), $ids($older)));
        self::assertGreaterThanOrEqual(5, count($older->list('lines')));
        self::assertNull($older->at('older'));
        self::assertCount(
            200,
            $this->get('GET', '/trail?before=nonsense&by=nobody&kind=moon')->list('lines'),
            'a filter that names nothing is none',
        );
    }

    /** @return list<array{string, string, string}> who, did, what */
    private function lines(string $query = ''): array
    {
        return array_map(
            static fn ($l): array => [$l->text('by'), $l->text('did'), $l->text('subject')],
            $this->get('GET', "/trail$query")->list('lines'),
        );
    }

    /** @return list<mixed>|null kind, id and class of what takes a line back */
    private function undo(int $i): ?array
    {
        $line = $this->get('GET', '/trail')->list('lines')[$i];

        return $line->at('undo') === null ? null : array_map($line->at(...), ['undo.kind', 'undo.id', 'undo.within']);
    }
}
