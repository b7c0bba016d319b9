<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Roster;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\NameList;
use ChalkLadder\Server\Tests\ApiCase;

final class RosterTest extends ApiCase
{
    public function testListsAreReadAsTheyComeFromSpreadsheets(): void
    {
        $names = static fn (string $text): array => array_column(NameList::read($text), 'name');
        self::assertSame(['Ada Okafor', 'Benoît Larsen'], $names("\u{FEFF}Name\r\nAda Okafor\r\n\r\nBenoît  Larsen\r\n"));
        self::assertSame(['Ada Okafor'], $names("Surname;First name\nOkafor;Ada\n"));
        self::assertSame(['Ada Okafor'], $names("name,note\n\"Ada\nOkafor\",\"=1+1, x\"\n"));
        self::assertSame(['Benoît'], $names("Beno\xEEt"));
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
        $this->as($this->world->teacher)->get('POST', '/classes/'.$this->world->classId.'/students/'.$this->world->students['Benoît Larsen']->id.'/pin');
        $this->as(null)->refused(422, 'POST', '/join', $join);
    }
}
