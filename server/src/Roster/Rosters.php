<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\Access;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;

/** Classes and who is in them. */
final readonly class Rosters
{
    /** Without letters and digits that look alike on a projector. */
    private const CODE_LETTERS = 'BCDFGHJKLMNPRSTVWXZ';

    public function __construct(private Database $database, private Trail $trail, private Pins $pins, private Access $access)
    {
    }

    public function list(string $teamId): ClassListView
    {
        $rows = $this->database->rows('SELECT c.id, c.name, c.code, count(m.student_id) AS students FROM class c LEFT JOIN class_member m ON m.class_id = c.id AND m.left_at IS NULL WHERE c.team_id = :team GROUP BY c.id ORDER BY c.name', ['team' => $teamId]);

        return new ClassListView(array_map(static fn (Row $r): ClassRowView => new ClassRowView($r->text('id'), $r->text('name'), $r->text('code'), $r->int('students')), $rows));
    }

    public function show(string $teamId, string $id): RosterView
    {
        $class = $this->find($teamId, $id);
        $rows = $this->database->rows('SELECT s.id, s.name, m.joined_at FROM class_member m JOIN student s ON s.id = m.student_id WHERE m.class_id = :id AND m.left_at IS NULL ORDER BY s.name_folded, s.id', ['id' => $id]);

        return new RosterView($id, $class->text('name'), $class->text('code'), array_map(static fn (Row $r): StudentView => new StudentView($r->text('id'), $r->text('name'), $r->time('joined_at')), $rows));
    }

    public function create(StaffUser $who, ClassInput $input): RosterView
    {
        $name = trim($input->name);
        if ($this->database->row('SELECT 1 FROM class WHERE team_id = :team AND lower(name) = lower(:name)', ['team' => $who->teamId, 'name' => $name]) !== null) {
            throw Problem::invalid(['name' => sprintf('There is already a class called "%s".', $name)]);
        }
        $id = $this->database->newId();
        $this->database->insert('class', ['id' => $id, 'team_id' => $who->teamId, 'name' => $name, 'code' => $this->freshCode(), 'created_at' => $this->database->now()]);
        $this->trail->note($who, 'add', 'class', $id, ['name' => $name]);

        return $this->show($who->teamId, $id);
    }

    public function preview(string $teamId, string $classId, RosterInput $input): RosterPreviewView
    {
        $this->find($teamId, $classId);
        $here = $this->namesIn($classId);
        $seen = [];
        $lines = [];
        $adds = 0;
        foreach (NameList::read($input->text) as $row) {
            $folded = NameList::fold($row['name']);
            [$fate, $note] = match (true) {
                mb_strlen($row['name']) > 80 => ['fault', 'Longer than 80 characters.'],
                preg_match('/\p{L}/u', $row['name']) !== 1 => ['fault', 'No letter in it.'],
                isset($here[$folded]) => ['here', ''],
                isset($seen[$folded]) => ['double', sprintf('The same as line %d. If they are two people, add an initial.', $seen[$folded])],
                default => ['add', ''],
            };
            $seen[$folded] ??= $row['line'];
            $adds += $fate === 'add' ? 1 : 0;
            $lines[] = new RosterLineView($row['line'], $row['name'], $fate, $note);
        }

        return new RosterPreviewView($lines, $adds);
    }

    public function add(StaffUser $who, string $classId, RosterInput $input): RosterView
    {
        $this->database->together(function () use ($who, $classId, $input): void {
            $this->database->row('SELECT id FROM class WHERE id = :id FOR UPDATE', ['id' => $classId]);
            $preview = $this->preview($who->teamId, $classId, $input);
            $students = [];
            $members = [];
            foreach ($preview->lines as $line) {
                if ($line->fate !== 'add' || in_array($line->line, $input->skip, true)) {
                    continue;
                }
                $id = $this->database->newId();
                $students[] = [$id, $who->teamId, $line->name, NameList::fold($line->name), $this->pins->seal(Pins::fresh())];
                $members[] = [$classId, $id, $this->database->now()];
            }
            $this->database->insertAll('student', ['id', 'team_id', 'name', 'name_folded', 'pin_sealed'], $students);
            $this->database->insertAll('class_member', ['class_id', 'student_id', 'joined_at'], $members);
            $this->handOpenTo($classId);
            $this->trail->note($who, 'add students', 'class', $classId, ['count' => count($students)]);
        });

        return $this->show($who->teamId, $classId);
    }

    public function slips(StaffUser $who, string $classId): SlipsView
    {
        $class = $this->find($who->teamId, $classId);
        $rows = $this->database->rows('SELECT s.name, s.pin_sealed FROM class_member m JOIN student s ON s.id = m.student_id WHERE m.class_id = :id AND m.left_at IS NULL ORDER BY s.name_folded, s.id', ['id' => $classId]);
        $this->trail->note($who, 'print slips', 'class', $classId);

        return new SlipsView($class->text('name'), $class->text('code'), array_map(fn (Row $r): SlipView => new SlipView($r->text('name'), $this->pins->open($r->text('pin_sealed'))), $rows));
    }

    /** A new PIN; the old one and every open session of the student end at once. */
    public function resetPin(StaffUser $who, string $classId, string $studentId): PinView
    {
        $this->find($who->teamId, $classId);
        $pin = Pins::fresh();
        $changed = $this->database->run('UPDATE student SET pin_sealed = :pin WHERE id = :student AND team_id = :team AND EXISTS (SELECT 1 FROM class_member WHERE class_id = :class AND student_id = :student AND left_at IS NULL)', ['pin' => $this->pins->seal($pin), 'student' => $studentId, 'team' => $who->teamId, 'class' => $classId]);
        if ($changed === 0) {
            throw Problem::notFound('The student');
        }
        $this->access->closeAllOfStudent($studentId);
        $this->trail->note($who, 'reset PIN', 'student', $studentId);

        return new PinView($pin);
    }

    /** Takes a student off the roster, or puts them back. Their work stays. */
    public function leave(StaffUser $who, string $classId, string $studentId, bool $away): void
    {
        $this->find($who->teamId, $classId);
        $this->database->together(function () use ($who, $classId, $studentId, $away): void {
            if ($this->database->run('UPDATE class_member SET left_at = :at WHERE class_id = :class AND student_id = :student', ['at' => $away ? $this->database->now() : null, 'class' => $classId, 'student' => $studentId]) === 0) {
                throw Problem::notFound('The student');
            }
            if (!$away) {
                $this->handOpenTo($classId);
            }
            $this->trail->note($who, $away ? 'leave' : 'rejoin', 'student', $studentId, ['class' => $classId]);
        });
    }

    /** Whoever comes into a class is handed what the class has open. */
    private function handOpenTo(string $classId): void
    {
        $this->database->run('INSERT INTO handout_student (handout_id, student_id) SELECT hc.handout_id, m.student_id FROM handout_class hc JOIN handout h ON h.id = hc.handout_id AND h.closed_at IS NULL JOIN class_member m ON m.class_id = hc.class_id AND m.left_at IS NULL WHERE hc.class_id = :class ON CONFLICT DO NOTHING', ['class' => $classId]);
    }

    private function find(string $teamId, string $id): Row
    {
        return $this->database->row('SELECT name, code FROM class WHERE id = :id AND team_id = :team', ['id' => $id, 'team' => $teamId]) ?? throw Problem::notFound('The class');
    }

    /** @return array<string, true> folded names */
    private function namesIn(string $classId): array
    {
        $names = [];
        foreach ($this->database->rows('SELECT s.name_folded FROM class_member m JOIN student s ON s.id = m.student_id WHERE m.class_id = :id AND m.left_at IS NULL', ['id' => $classId]) as $row) {
            $names[$row->text('name_folded')] = true;
        }

        return $names;
    }

    private function freshCode(): string
    {
        do {
            $code = '';
            for ($i = 0; $i < 5; ++$i) {
                $code .= self::CODE_LETTERS[random_int(0, strlen(self::CODE_LETTERS) - 1)];
            }
        } while ($this->database->row('SELECT 1 FROM class WHERE code = :code', ['code' => $code]) !== null);

        return $code;
    }
}
