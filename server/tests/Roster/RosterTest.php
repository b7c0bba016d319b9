<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\NameList;
use ChalkLadder\Server\Roster\Pins;
use ChalkLadder\Server\Tests\ApiCase;
use ChalkLadder\Server\Tests\Row;

final class RosterTest extends ApiCase
{
    public function testListsAreReadAsTheyComeFromSpreadsheets(): void
    {
        $names = static fn (string $text): array => array_column(NameList::read($text), 'name');
        self::assertSame(['Ada Okafor', 'Benoît Larsen'], $names("\u{FEFF}Name\r\nAda Okafor\r\n\r\nBenoît  Larsen\r\n"));
        self::assertSame(['Ada Okafor'], $names("Surname;First name\nOkafor;Ada\n"));
        self::assertSame(['Ada Okafor'], $names("name,note\n\"Ada\nOkafor\",\"=1+1, x\"\n"));
        self::assertSame(['Benoît'], $names("Beno\xEEt"));
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("Ada;Lind\nBo;Ek"));
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("Ada\tLind\n\nBo\tEk\n"));
        self::assertSame(['Ada Lind', 'Bo van der Ek'], $names("Lind, Ada\nvan der Ek, Bo"));
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("1. Ada Lind\n 2) Bo Ek"));
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("1;Ada;Lind\n2;Bo;Ek"));
        self::assertSame(['Ada Lind', 'Bo Moor', 'Cai Dunn', 'De'], $names("Ada;Lind\nMoor, Bo\n1. Cai Dunn\nDe"), 'each line in its own way');
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("Name;Mail\n\"Lind, Ada\";a@x.example\nBo Ek;"));
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("Ada Lind;early\nBo Ek;late"), 'whole names stay alone');
        self::assertSame(['Ada', 'Bo'], $names("Ada;8 b\nBo;8 c"), 'what is no name is left out');
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("Ada Lind <ada@harbour.example>\nBo Ek bo.ek@harbour.example"));
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("ada@harbour.example;Ada;Lind\nbo@harbour.example;Bo;Ek"));
        self::assertSame(['Ada Lind', 'Bo Ek', 'Cai Dunn'], $names("Lind, Ada\nBo Ek;8 b\nCai Dunn"), 'each line in its own way');
        self::assertSame(['Ada Lind', 'Bo Ek', 'Cai Dunn'], $names("• Ada Lind\n- Ek, Bo\n*  Cai Dunn"));
        self::assertSame(['Ada Lind', 'Bo Ek'], $names("Student’s name\tForm\nLind, Ada\t8 b\nBo Ek\t8 b"));
        self::assertSame(['Ada Lind'], $names("Legal surname,Preferred forename\nLind,Ada"));
        self::assertSame(['Ada Last', 'Bo Names'], $names("Ada Last\nBo Names"), 'a name is no head of a column');
        self::assertCount(5000, $names(str_repeat("A name\n", 5000)));
        foreach (['', " \n ", str_repeat("A name\n", 5001)] as $bad) {
            try {
                NameList::read($bad);
                self::fail('It was read.');
            } catch (Problem $problem) {
                self::assertSame(422, $problem->status);
            }
        }
    }

    public function testNamesThatRunOnInALineAreEachTheirOwn(): void
    {
        $names = static fn (string $text): array => array_column(NameList::read($text), 'name', 'given');
        $three = ['Ada Lind', 'Bo Ek', 'Cai Dunn'];
        self::assertSame($three, array_values($names('Ada Lind, Bo Ek, Cai Dunn')));
        self::assertSame($three, array_values($names("Ada Lind, Bo Ek,\n Cai Dunn\n")));
        self::assertSame(['Lind, Ada' => 'Ada Lind', 'Ek, Bo' => 'Bo Ek', 'Cai Dunn' => 'Cai Dunn'], $names('Lind, Ada; Ek, Bo; Cai Dunn;'));
        self::assertSame(['Ada Lind', 'Bo Ek'], array_values($names('Ada Lind <ada@harbour.example>; "Ek, Bo" <bo@harbour.example>')));
        foreach ([
            'van der Ek, Bo Jan' => ['Bo Jan van der Ek'],
            "Ada;Lind;Heron\nBo;Ek;Heron" => ['Ada Lind', 'Bo Ek'],
            'Ada,Lind,Heron' => ['Ada Lind'],
            "Ada Lind;early\nBo Ek;late" => ['Ada Lind', 'Bo Ek'],
        ] as $text => $read) {
            self::assertSame($read, array_values($names($text)), 'one name, or columns');
        }
    }

    public function testDoublesAreFoundBeforeAnythingIsAdded(): void
    {
        $path = '/classes/'.$this->world->classId.'/roster';
        $this->as($this->world->teacher);
        $preview = $this->get('POST', "$path/preview", ['text' => "Dee Fox\ndee  fox\nBENOIT LARSEN\n123"]);
        self::assertSame(['add', 'double', 'here', 'fault'], $preview->column('lines', 'fate'));
        self::assertCount(4, $this->get('POST', $path, ['text' => "Dee Fox\ndee fox"])->list('students'));
    }

    public function testCodeNameAndPinTogetherLetAStudentInUntilThePinIsReset(): void
    {
        $slips = $this->as($this->world->teacher)->get('POST', '/classes/'.$this->world->classId.'/slips');
        $join = ['code' => strtolower($slips->text('code')), 'name' => 'benoit larsen', 'pin' => $slips->text('slips.1.pin')];
        $this->as(null)->refused(422, 'POST', '/join', ['pin' => '000000x'] + $join);
        self::assertSame('Benoît Larsen', $this->get('POST', '/join', $join)->text('name'));
        $this->as($this->world->teacher)->get(
            'POST',
            '/classes/'.$this->world->classId.'/students/'.$this->world->students['Benoît Larsen']->id.'/pin',
        );
        $this->as(null)->refused(422, 'POST', '/join', $join);
    }

    public function testAClassHasANameOfItsOwnWithinItsTeam(): void
    {
        $this->as($this->world->teacher);
        $made = $this->get('POST', '/classes', ['name' => '  8 Heron ']);
        self::assertSame(['8 Heron', []], [$made->text('name'), $made->list('students')]);
        self::assertMatchesRegularExpression('/^[BCDFGHJKLMNPRSTVWXZ]{5}$/', $made->text('code'));
        self::assertSame(
            'There is already a class called "8 heron".',
            $this->refused(422, 'POST', '/classes', ['name' => '8 heron'])->text('fields.name'),
        );
        self::assertSame(['8 Heron', '8 Kestrel'], $this->get('GET', '/classes')->column('classes', 'name'));

        $this->as($this->world->stranger);
        self::assertSame([], $this->get('GET', '/classes')->list('classes'));
        self::assertSame('8 Heron', $this->get('POST', '/classes', ['name' => '8 Heron'])->text('name'));
    }

    public function testLinesThatCannotBeNamesSayWhy(): void
    {
        $this->as($this->world->teacher);
        $preview = $this->get(
            'POST',
            '/classes/'.$this->world->classId.'/roster/preview',
            ['text' => str_repeat('x', 81)."\n42\nDee Fox\nDEE FOX\nAda Okafor\n"],
        );

        self::assertSame(
            ['Longer than 80 characters.', 'No letter in it.', '', 'The same as line 3. If they are two people, add an initial.', ''],
            $preview->column('lines', 'note'),
        );
        self::assertSame(1, $preview->int('adds'));
        self::assertCount(3, $this->get('GET', '/classes/'.$this->world->classId)->list('students'), 'a preview adds nobody');
    }

    public function testLinesThatAreUntickedAreNotAdded(): void
    {
        $this->as($this->world->teacher);
        $roster = $this->get(
            'POST',
            '/classes/'.$this->world->classId.'/roster',
            ['text' => "Dee Fox\nEmil Gray\nFay Hill", 'skip' => [2]],
        );

        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh', 'Dee Fox', 'Fay Hill'], $roster->column('students', 'name'));
    }

    public function testWhoComesLateOrComesBackIsHandedWhatTheClassHasOpen(): void
    {
        $class = '/classes/'.$this->world->classId;
        $ada = $this->world->students['Ada Okafor'];
        $before = $this->world->handOut();
        $this->as($this->world->teacher)->ask('DELETE', "$class/students/{$ada->id}");
        self::assertSame(['Benoît Larsen', 'Cleo Marsh'], $this->get('GET', $class)->column('students', 'name'));
        $while = $this->world->handOut();
        $this->get('POST', "$class/roster", ['text' => 'Dee Fox']);
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh', 'Dee Fox'], $this->handedTo($before));
        self::assertSame(['Benoît Larsen', 'Cleo Marsh', 'Dee Fox'], $this->handedTo($while));

        self::assertSame(204, $this->ask('POST', "$class/students/{$ada->id}/return")->getStatusCode());
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh', 'Dee Fox'], $this->handedTo($while));
        self::assertSame(['Ada Okafor', 'Benoît Larsen', 'Cleo Marsh', 'Dee Fox'], $this->get('GET', $class)->column('students', 'name'));
    }

    public function testNobodyLeavesAClassTheyWereNeverIn(): void
    {
        $this->as($this->world->teacher);
        $other = $this->get('POST', '/classes', ['name' => '8 Heron'])->text('id');
        $ada = $this->world->students['Ada Okafor']->id;

        $this->refused(404, 'DELETE', "/classes/$other/students/$ada");
        $this->refused(404, 'POST', "/classes/$other/students/$ada/return");
        $this->refused(404, 'POST', "/classes/$other/students/$ada/pin");
    }

    public function testANewPinEndsTheSessionsThatTheOldOneOpened(): void
    {
        $ada = $this->world->students['Ada Okafor'];
        $this->as($ada)->get('GET', '/me');
        $cookies = $this->browser->getCookieJar()->all();
        $pin = $this->as($this->world->teacher)->get('POST', "/classes/{$this->world->classId}/students/{$ada->id}/pin")->text('pin');
        self::assertMatchesRegularExpression('/^\d{6}$/', $pin);
        self::assertContains($pin, $this->get('POST', "/classes/{$this->world->classId}/slips")->column('slips', 'pin'));
        self::assertStringNotContainsString(
            $pin,
            (string) $this->tables->row('SELECT pin_sealed FROM student WHERE id = :id', ['id' => $ada->id])?->text('pin_sealed'),
        );

        $this->browser->getCookieJar()->clear();
        foreach ($cookies as $cookie) {
            $this->browser->getCookieJar()->set($cookie);
        }
        $this->refused(401, 'GET', '/me');
    }

    public function testSealedPinsOpenWithTheirSecretAlone(): void
    {
        $pins = new Pins('one secret');
        $sealed = $pins->seal('004711');

        self::assertNotSame($sealed, $pins->seal('004711'), 'equal PINs do not look equal');
        self::assertSame('004711', $pins->open($sealed));
        $this->expectExceptionMessage('give the student a new one');
        (new Pins('another secret'))->open($sealed);
    }

    /** @return list<string> names */
    private function handedTo(string $handoutId): array
    {
        return array_map(
            static fn (Row $r): string => $r->text('name'),
            $this->tables->rows(
                'SELECT s.name FROM handout_student hs JOIN student s ON s.id = hs.student_id WHERE hs.handout_id = :id
                    ORDER BY s.name_folded',
                ['id' => $handoutId],
            ),
        );
    }
}
