<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Tests\ApiCase;

final class PlacesTest extends ApiCase
{
    private string $roster;

    protected function setUp(): void
    {
        parent::setUp();
        $this->roster = '/classes/'.$this->world->classId;
        $this->as($this->world->teacher);
    }

    public function testALineIsPutRightOrLeftOutBeforeAnythingIsAdded(): void
    {
        $list = ['text' => "Fox, Dee\nGray Emil\n  Fay Hill;8 b\n12", 'names' => [2 => ' Emil  Gray ', 4 => 'Gus Ives'], 'skip' => [3]];
        $preview = $this->get('POST', "$this->roster/roster/preview", $list);
        self::assertSame(['Fox, Dee', 'Gray Emil', 'Fay Hill;8 b', '12'], $preview->column('lines', 'given'));
        self::assertSame(['Dee Fox', 'Emil Gray', 'Fay Hill', 'Gus Ives'], $preview->column('lines', 'name'));
        self::assertSame(['add', 'add', 'left out', 'add'], $preview->column('lines', 'fate'));
        self::assertSame(3, $preview->int('adds'));
        $names = $this->get('POST', "$this->roster/roster", $list)->column('students', 'name');
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh', 'Dee Fox', 'Emil Gray', 'Gus Ives'], $names);
    }

    public function testWhatIsPutRightIsLookedAtLikeWhatWasPasted(): void
    {
        $list = ['text' => "Dee Fox\nDee Foks\nEmil", 'names' => [2 => 'dee fox', 3 => str_repeat('x', 90)]];
        self::assertSame(['add', 'double', 'fault'], $this->get('POST', "$this->roster/roster/preview", $list)->column('lines', 'fate'));
        self::assertSame(
            ['left out', 'add'],
            $this->get('POST', "$this->roster/roster/preview", ['text' => "Dee Fox\nDee Fox", 'skip' => [1]])->column('lines', 'fate'),
            'what is left out makes nothing a double',
        );
        $this->refused(422, 'POST', "$this->roster/roster", ['text' => 'Dee', 'names' => [1 => ['not' => 'a name']]]);
    }

    public function testOneMovesToAnotherClassWithTheirWorkAndBack(): void
    {
        $ada = $this->world->students['Ada Okafor'];
        $begun = $this->world->handOut();
        $sitting = $this->as($ada)->get('POST', "/me/handouts/$begun/open")->text('id');
        $heron = $this->as($this->world->teacher)->get('POST', '/classes', ['name' => '8 Heron'])->text('id');
        $this->get('POST', "/classes/$heron/roster", ['text' => 'Gus Ives']);
        $given = ['editionId' => $this->world->editionId, 'classes' => [$heron], 'requestId' => '01900000-0000-7000-8000-000000000001'];
        $open = $this->get('POST', '/handouts', $given)->text('id');
        $this->as($ada)->get('GET', '/me');

        $this->as($this->world->teacher)->ask('POST', "$this->roster/students/{$ada->id}/move", ['to' => strtoupper($heron)]);
        self::assertSame(['Benoît Larsen', 'Cleo Marsh'], $this->get('GET', $this->roster)->column('students', 'name'));
        self::assertSame(['Ada Okafor', 'Gus Ives'], $this->get('GET', "/classes/$heron")->column('students', 'name'));
        self::assertSame(['Ada Okafor'], $this->get('GET', $this->roster)->column('left', 'name'));
        $this->as($ada)->get('PUT', "/me/sittings/$sitting/responses", ['saves' => [[
            'entry' => 'e-text', 'try' => 1, 'value' => ['text' => 'Skerry'], 'counter' => 1, 'clientId' => 'a',
        ]]]);
        self::assertEqualsCanonicalizing([$begun, $open], $this->get('GET', '/me/work')->column('handouts', 'handoutId'));

        $this->as($this->world->teacher)->ask('POST', "/classes/$heron/students/{$ada->id}/move", ['to' => $this->world->classId]);
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh'], $this->get('GET', $this->roster)->column('students', 'name'));
        self::assertSame([[], ['Ada Okafor']], [$this->get('GET', $this->roster)->list('left'), $this->get('GET', "/classes/$heron")->column('left', 'name')]);
    }

    public function testNobodyComesWhereTheirNameIsTaken(): void
    {
        $ada = $this->world->students['Ada Okafor']->id;
        $heron = $this->get('POST', '/classes', ['name' => '8 Heron'])->text('id');
        $this->get('POST', "/classes/$heron/roster", ['text' => 'ada okafor']);
        $refusal = $this->refused(422, 'POST', "$this->roster/students/$ada/move", ['to' => $heron]);
        self::assertSame('Somebody else in 8 Heron goes by the name Ada Okafor.', $refusal->text('title'));
        self::assertContains('Ada Okafor', $this->get('GET', $this->roster)->column('students', 'name'), 'they have left nothing');

        $this->ask('DELETE', "$this->roster/students/$ada");
        $named = $this->get('POST', "$this->roster/roster", ['text' => 'Ada B. Okafor'])->text('students.0.id');
        $this->get('PUT', "$this->roster/students/$named", ['name' => 'Ada Okafor']);
        $this->refused(422, 'POST', "$this->roster/students/$ada/return");
        $this->refused(422, 'POST', "/classes/$heron/students/$ada/move", ['to' => $heron]);
    }

    public function testWhoIsPastedAgainComesBackAndIsNoSecondStudent(): void
    {
        $ada = $this->world->students['Ada Okafor']->id;
        $this->ask('DELETE', "$this->roster/students/$ada");
        $list = ['text' => "ADA OKAFOR\nDee Fox"];
        $preview = $this->get('POST', "$this->roster/roster/preview", $list);
        self::assertSame([['back', 'add'], 2], [$preview->column('lines', 'fate'), $preview->int('adds')]);
        $roster = $this->get('POST', "$this->roster/roster", $list);
        self::assertSame($ada, $roster->text('students.0.id'));
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh', 'Dee Fox'], $roster->column('students', 'name'));
        self::assertSame([], $roster->list('left'));
    }

    public function testNobodyMovesIntoAnotherTeamsClassNorOutOfIt(): void
    {
        $ada = $this->world->students['Ada Okafor']->id;
        $theirs = $this->as($this->world->stranger)->get('POST', '/classes', ['name' => '8 Gull'])->text('id');
        $this->refused(404, 'POST', "$this->roster/students/$ada/move", ['to' => $theirs]);
        $this->as($this->world->teacher)->refused(404, 'POST', "$this->roster/students/$ada/move", ['to' => $theirs]);
        self::assertContains('Ada Okafor', $this->get('GET', $this->roster)->column('students', 'name'));
    }

    public function testAGroupLastsAndAStudentWhoComesBackIsInItAgain(): void
    {
        [$ada, $ben, $cleo] = array_map(static fn (StudentUser $s): string => $s->id, array_values($this->world->students));
        $made = $this->get('POST', "$this->roster/groups", ['name' => ' Chart  table ', 'students' => [strtoupper($ada), $ben, $ada]]);
        $group = $made->text('groups.0.id');
        self::assertSame(['Chart table'], $made->column('groups', 'name'));
        self::assertEqualsCanonicalizing([$ada, $ben], $made->at('groups.0.students'));
        $this->refused(422, 'POST', "$this->roster/groups", ['name' => 'CHART TABLE']);
        $this->refused(422, 'POST', "$this->roster/groups", ['name' => 'Others', 'students' => [$this->world->teacher->id]]);

        $this->ask('DELETE', "$this->roster/students/$ada");
        self::assertSame([$ben], $this->get('GET', $this->roster)->at('groups.0.students'));
        $this->get('PUT', "$this->roster/groups/$group", ['name' => 'Chart table', 'students' => [$cleo]]);
        $this->ask('POST', "$this->roster/students/$ada/return");
        self::assertEqualsCanonicalizing([$ada, $cleo], $this->get('GET', $this->roster)->at('groups.0.students'));
        self::assertSame([], $this->get('DELETE', "$this->roster/groups/$group")->list('groups'));
        $this->refused(404, 'DELETE', "$this->roster/groups/$group");
    }

    public function testATeachersOwnClassesComeFirst(): void
    {
        $mine = $this->get('POST', '/classes', ['name' => '9 Skua'])->text('id');
        $list = $this->get('GET', '/classes');
        self::assertSame(['9 Skua', '8 Kestrel'], $list->column('classes', 'name'));
        self::assertSame([[true, false], ['Teacher', 'Lead']], [$list->column('classes', 'mine'), $list->column('classes', 'teachers')]);

        $this->get('PUT', "/classes/$mine/teachers", ['teachers' => [$this->world->lead->id]]);
        $this->get('PUT', "$this->roster/teachers", ['teachers' => [$this->world->teacher->id, $this->world->lead->id]]);
        self::assertSame(['8 Kestrel', '9 Skua'], $this->get('GET', '/classes')->column('classes', 'name'));
        self::assertSame(['Lead, Teacher', 'Lead'], $this->get('GET', '/classes')->column('classes', 'teachers'));
        foreach ([$this->world->stranger, $this->world->marker] as $other) {
            $this->refused(422, 'PUT', "/classes/$mine/teachers", ['teachers' => [$other->id]]);
        }
        self::assertSame(['Lead', 'Teacher'], $this->get('GET', "/classes/$mine")->column('staff', 'name'));
    }
}
