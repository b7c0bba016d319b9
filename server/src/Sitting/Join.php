<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Formula\Unicode;
use ChalkLadder\Server\Identity\StudentUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Roster\NameList;
use ChalkLadder\Server\Roster\Pins;

/** Class code, name and PIN together are a student's identity; which of them was wrong is not told. */
final readonly class Join
{
    public function __construct(private Database $database, private Pins $pins)
    {
    }

    public function student(JoinInput $input): StudentUser
    {
        $rows = $this->database->rows('SELECT s.id, s.team_id, s.name, s.pin_sealed FROM class c JOIN class_member m ON m.class_id = c.id AND m.left_at IS NULL JOIN student s ON s.id = m.student_id WHERE c.code = :code AND s.name_folded = :name', [
            'code' => strtoupper((string) preg_replace('/[^A-Za-z]/', '', $input->code)),
            'name' => NameList::fold($input->name),
        ]);
        $pin = (string) preg_replace('/\D/', '', Unicode::compatible($input->pin));
        foreach ($rows as $row) {
            if (hash_equals($this->pins->open($row->text('pin_sealed')), $pin)) {
                return new StudentUser($row->text('id'), $row->text('team_id'), $row->text('name'));
            }
        }

        throw new Problem(422, 'Code, name and PIN do not fit together.', 'Check all three against your slip. Your teacher can give you a new PIN.', ['pin' => 'Code, name and PIN do not fit together.']);
    }
}
