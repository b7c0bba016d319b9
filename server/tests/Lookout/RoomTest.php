<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Lookout;

use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Json;

/** What a teacher does in the Lookout, and what students ask of them. */
final class RoomTest extends ApiCase
{
    private const CALL = '0190a0a0-0000-7000-8000-0000000000f1';
    private const NOTE = '0190a0a0-0000-7000-8000-0000000000f2';
    private string $handout;
    private string $ada;

    protected function setUp(): void
    {
        parent::setUp();
        $this->handout = $this->world->handOut();
        $this->ada = $this->open('Ada Okafor');
    }

    public function testWhoIsHeldKeepsWhatTheyTypeAndGoesNoFurther(): void
    {
        $cleo = $this->open('Cleo Marsh');
        $this->teacher('POST', "/handouts/$this->handout/hold", [
            'students' => [strtoupper($this->world->students['Ada Okafor']->id)],
            'words' => 'Come to the front.',
        ]);
        self::assertSame(['Come to the front.', null], [$this->sitting()->at('hold'), $this->sitting('Cleo Marsh', $cleo)->at('hold')]);
        self::assertSame([true, false, false], $this->teacher('GET', "/handouts/$this->handout/lookout")->column('rows', 'held'));

        $this->as($this->world->students['Ada Okafor']);
        self::assertSame('kept', $this->get('PUT', "/me/sittings/$this->ada/responses", ['saves' => [[
            'entry' => 'e-text', 'try' => 1, 'value' => ['text' => 'on its way'], 'counter' => 1, 'clientId' => 'x',
        ]]])->text('kept.0.fate'));
        foreach (['go-on', 'hand-in'] as $act) {
            $refused = $this->refused(409, 'POST', "/me/sittings/$this->ada/$act", ['visit' => 1]);
            self::assertSame('Your teacher has asked you to stop.', $refused->text('title'));
        }
        $this->teacher('POST', "/handouts/$this->handout/release");
        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$this->ada/go-on", ['visit' => 1]);
    }

    public function testWhoComesWhileAllAreHeldIsHeldToo(): void
    {
        $this->teacher('POST', "/handouts/$this->handout/hold");
        self::assertSame('', $this->sitting('Cleo Marsh', $this->open('Cleo Marsh'))->at('hold'));
    }

    public function testACallWaitsUntilSomebodyHasSeenToIt(): void
    {
        $call = ['id' => self::CALL, 'kind' => 'stuck', 'entry' => 'e-text', 'words' => ' Do I take it away? '];
        $this->call($call);
        $this->call($call);
        $seen = $this->teacher('GET', "/handouts/$this->handout/lookout")->list('rows')[0];
        self::assertSame(
            [self::CALL, 'stuck', 'e-text', 'Do I take it away?'],
            array_map($seen->at(...), ['call.id', 'call.kind', 'call.entry', 'call.words']),
        );
        $this->teacher('POST', "/sittings/$this->ada/calls/".self::CALL.'/settle');
        self::assertNull($this->sitting()->at('call'));
        $this->teacher('POST', "/sittings/$this->ada/calls/".self::CALL.'/unsettle');
        self::assertSame(self::CALL, $this->sitting()->text('call.id'));
        $this->as($this->world->students['Ada Okafor'])->get('DELETE', "/me/sittings/$this->ada/call");
        self::assertNull($this->sitting()->at('call'));
        $this->call($call);
        self::assertNull($this->sitting()->at('call'), 'sent again late, it is not made anew');
    }

    public function testALaterCallTakesThePlaceOfOneThatWaits(): void
    {
        $this->call(['id' => self::CALL]);
        $this->call(['id' => self::NOTE, 'kind' => 'look']);
        self::assertSame(['look', 1], [
            $this->sitting()->text('call.kind'),
            count($this->tables->rows('SELECT 1 AS x FROM student_call WHERE settled_at IS NULL')),
        ]);
        $this->as($this->world->students['Ada Okafor'])->get('POST', "/me/sittings/$this->ada/go-on", ['visit' => 1]);
        $this->get('POST', "/me/sittings/$this->ada/hand-in", ['visit' => 2]);
        self::assertNull($this->teacher('GET', "/handouts/$this->handout/lookout")->at('rows.0.call'), 'nobody waits who has handed in');
        $this->as($this->world->students['Ada Okafor']);
        $this->refused(409, 'PUT', "/me/sittings/$this->ada/call", ['id' => '0190a0a0-0000-7000-8000-0000000000f9']);
    }

    public function testANoteReachesWhomItIsWrittenToAndCanBeTakenBack(): void
    {
        $cleo = $this->open('Cleo Marsh');
        $to = $this->world->students['Ada Okafor']->id;
        $note = ['id' => self::NOTE, 'student' => $to, 'entry' => 'e-text', 'words' => 'Look at the log.'];
        $this->teacher('POST', "/handouts/$this->handout/notes", $note);
        $this->teacher('POST', "/handouts/$this->handout/notes", ['id' => self::NOTE, 'student' => $to, 'words' => 'Look at the log.']);
        $this->teacher('POST', "/handouts/$this->handout/notes", ['id' => self::CALL, 'words' => 'Ten minutes more.']);
        $words = static fn (Json $sitting): array => array_map(static fn (Json $n): string => $n->text('words'), $sitting->list('notes'));
        self::assertSame(['Ten minutes more.', 'Look at the log.'], $words($this->sitting()));
        self::assertSame(['Ten minutes more.'], $words($this->sitting('Cleo Marsh', $cleo)));
        $this->teacher('DELETE', '/notes/'.self::NOTE);
        self::assertSame(['Ten minutes more.'], $words($this->sitting()));
        $this->as($this->world->teacher)->refused(422, 'POST', "/handouts/$this->handout/notes", ['id' => self::NOTE, 'words' => '  ']);
        // Somebody who does not have the work is written nothing.
        $other = $this->world->join('8 Gannet', 'Dee Fox')->id;
        $this->as($this->world->teacher)->refused(404, 'POST', "/handouts/$this->handout/notes", [
            'id' => '0190a0a0-0000-7000-8000-0000000000f9', 'student' => $other, 'words' => 'Hello.',
        ]);
    }

    public function testOneStudentIsTakenInBeforeTheOthers(): void
    {
        $cleo = $this->open('Cleo Marsh');
        $this->teacher('POST', "/sittings/$this->ada/take-in");
        self::assertSame(['handed in', 'open'], [$this->sitting()->text('state'), $this->sitting('Cleo Marsh', $cleo)->text('state')]);
        $this->as($this->world->teacher)->refused(409, 'POST', "/sittings/$this->ada/take-in");
    }

    /** @param array<string, mixed> $call */
    private function call(array $call): void
    {
        $this->as($this->world->students['Ada Okafor'])->get('PUT', "/me/sittings/$this->ada/call", $call);
    }

    /** @param array<string, mixed>|null $body */
    private function teacher(string $method, string $path, ?array $body = null): Json
    {
        return $this->as($this->world->teacher)->get($method, $path, $body);
    }

    private function open(string $name): string
    {
        return $this->as($this->world->students[$name])->get('POST', "/me/handouts/$this->handout/open")->text('id');
    }

    private function sitting(string $name = 'Ada Okafor', ?string $id = null): Json
    {
        return $this->as($this->world->students[$name])->get('GET', '/me/sittings/'.($id ?? $this->ada));
    }
}
