<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

use Brick\Math\BigRational;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;
use Psr\EventDispatcher\EventDispatcherInterface;

/** Papers given to classes and students under stated conditions. */
final readonly class Handouts
{
    private const SELECT = "SELECT h.*, e.paper_id, e.number AS edition,
            (SELECT coalesce(json_agg(c.name ORDER BY c.name), '[]') FROM handout_class hc JOIN class c ON c.id = hc.class_id WHERE hc.handout_id = h.id) AS classes,
            (SELECT count(*) FROM handout_student hs WHERE hs.handout_id = h.id) AS expected,
            (SELECT g.name FROM grouping_group g WHERE g.id = h.group_id) AS group_name,
            s.open, s.handed_in, s.returned, s.waiting
        FROM handout h JOIN edition e ON e.id = h.edition_id
        LEFT JOIN LATERAL (SELECT count(DISTINCT student_id) FILTER (WHERE state = 'open') AS open, count(DISTINCT student_id) FILTER (WHERE state <> 'open') AS handed_in, count(DISTINCT student_id) FILTER (WHERE state = 'returned') AS returned,
            count(*) FILTER (WHERE state <> 'open' AND EXISTS (SELECT 1 FROM response r WHERE r.sitting_id = sitting.id AND r.verdict = 'by hand' AND r.hand_credit IS NULL)) AS waiting FROM sitting WHERE handout_id = h.id) s ON true";

    public function __construct(
        private Database $database,
        private Trail $trail,
        private Editions $editions,
        private EventDispatcherInterface $events,
    ) {
    }

    public function list(string $teamId): HandoutListView
    {
        return new HandoutListView(array_map($this->view(...), $this->database->rows(self::SELECT.' WHERE h.team_id = :team ORDER BY h.made_at DESC, h.id LIMIT 200', ['team' => $teamId])));
    }

    public function show(string $teamId, string $id): HandoutView
    {
        return $this->view($this->database->row(self::SELECT.' WHERE h.id = :id AND h.team_id = :team', ['id' => $id, 'team' => $teamId]) ?? throw Problem::notFound('The handout'));
    }

    /** The handout with its edition; another team's is not found. */
    public function find(string $teamId, string $id): Handout
    {
        $row = $this->database->row('SELECT h.title, h.edition_id, h.conditions, h.closed_at, e.rules_version, t.mark_step FROM handout h JOIN edition e ON e.id = h.edition_id JOIN team t ON t.id = h.team_id WHERE h.id = :id AND h.team_id = :team', ['id' => $id, 'team' => $teamId]) ?? throw Problem::notFound('The handout');

        return new Handout($id, $teamId, $row->text('title'), $this->editions->load($row->text('edition_id'), $row->int('rules_version')), Conditions::fromArray($row->json('conditions')), BigRational::of($row->text('mark_step')), $row->textOrNull('closed_at') !== null);
    }

    public function create(StaffUser $who, HandoutInput $input): HandoutView
    {
        $id = $this->database->together(fn (): string => $this->handOut($who, $input, null));

        return $this->show($who->teamId, $id);
    }

    /** Hands out within the caller's transaction; a repeated request id changes nothing and gives the first one's handout. */
    public function handOut(StaffUser $who, HandoutInput $input, ?string $groupId): string
    {
        $again = $this->database->row('SELECT id FROM handout WHERE request_id = :request AND team_id = :team', ['request' => $input->requestId, 'team' => $who->teamId]);
        if ($again !== null) {
            return $again->text('id');
        }
        $edition = $this->database->row('SELECT e.id, p.title FROM edition e JOIN paper p ON p.id = e.paper_id WHERE e.id = :id AND e.team_id = :team', ['id' => $input->editionId, 'team' => $who->teamId]) ?? throw Problem::invalid(['editionId' => 'Choose a published paper.']);
        $conditions = Conditions::fromArray($input->conditions);
        if ($input->opensAt !== null && $input->closesAt !== null && $input->closesAt <= $input->opensAt) {
            throw Problem::invalid(['closesAt' => 'It must close after it opens.']);
        }
        $students = $this->studentIds($who->teamId, $input);
        $id = $this->database->newId();
        $this->database->insert('handout', [
            'id' => $id, 'team_id' => $who->teamId, 'edition_id' => $input->editionId, 'title' => $edition->text('title'),
            'conditions' => Json::encode($conditions->toArray()), 'visible' => $input->visible, 'opens_at' => $input->opensAt, 'closes_at' => $input->closesAt,
            'group_id' => $groupId, 'request_id' => $input->requestId, 'made_by' => $who->id, 'made_at' => $this->database->now(),
        ]);
        $this->database->insertAll('handout_class', ['handout_id', 'class_id'], array_map(static fn (string $c): array => [$id, $c], array_values(array_unique($input->classes))));
        $this->database->insertAll('handout_student', ['handout_id', 'student_id'], array_map(static fn (string $s): array => [$id, $s], $students));
        $this->trail->note($who, 'hand out', 'handout', $id, ['students' => count($students)]);

        return $id;
    }

    public function change(StaffUser $who, string $id, HandoutChangeInput $input): HandoutView
    {
        if ($input->opensAt !== null && $input->closesAt !== null && $input->closesAt <= $input->opensAt) {
            throw Problem::invalid(['closesAt' => 'It must close after it opens.']);
        }
        $changed = $this->database->run('UPDATE handout SET visible = :visible, opens_at = :opens, closes_at = :closes WHERE id = :id AND team_id = :team', ['visible' => $input->visible, 'opens' => $input->opensAt, 'closes' => $input->closesAt, 'id' => $id, 'team' => $who->teamId]);
        if ($changed === 0) {
            throw Problem::notFound('The handout');
        }
        $this->trail->note($who, 'change', 'handout', $id, ['visible' => $input->visible]);

        return $this->show($who->teamId, $id);
    }

    /** Closes the handout; what students have entered is handed in as it is. Closing twice is harmless. */
    public function close(StaffUser $who, string $id): HandoutView
    {
        $this->database->together(function () use ($who, $id): void {
            $row = $this->database->row('SELECT closed_at FROM handout WHERE id = :id AND team_id = :team FOR UPDATE', ['id' => $id, 'team' => $who->teamId]) ?? throw Problem::notFound('The handout');
            if ($row->textOrNull('closed_at') !== null) {
                return;
            }
            $this->database->run('UPDATE handout SET closed_at = :at WHERE id = :id', ['at' => $this->database->now(), 'id' => $id]);
            $this->events->dispatch(new HandoutClosing($id));
            $this->trail->note($who, 'close', 'handout', $id);
        });

        return $this->show($who->teamId, $id);
    }

    /** Opens a closed handout again for those who have not begun. Handed-in work stays handed in. */
    public function reopen(StaffUser $who, string $id): HandoutView
    {
        if ($this->database->run('UPDATE handout SET closed_at = NULL, closes_at = CASE WHEN closes_at < :now THEN NULL ELSE closes_at END WHERE id = :id AND team_id = :team', ['id' => $id, 'team' => $who->teamId, 'now' => $this->database->now()]) === 0) {
            throw Problem::notFound('The handout');
        }
        $this->trail->note($who, 'reopen', 'handout', $id);

        return $this->show($who->teamId, $id);
    }

    /** @return list<string> each student once */
    private function studentIds(string $teamId, HandoutInput $input): array
    {
        $ids = [];
        if ($input->classes !== []) {
            $known = $this->database->rows('SELECT id::text FROM class WHERE team_id = :team AND id::text IN (:ids)', ['team' => $teamId, 'ids' => array_values(array_unique($input->classes))]);
            if (count($known) !== count(array_unique($input->classes))) {
                throw Problem::invalid(['classes' => 'One of these classes was not found.']);
            }
            foreach ($this->database->rows('SELECT DISTINCT m.student_id::text AS id FROM class_member m WHERE m.left_at IS NULL AND m.class_id::text IN (:ids)', ['ids' => array_values($input->classes)]) as $row) {
                $ids[$row->text('id')] = true;
            }
        }
        if ($input->students !== []) {
            $known = $this->database->rows('SELECT id::text FROM student WHERE team_id = :team AND id::text IN (:ids)', ['team' => $teamId, 'ids' => array_values(array_unique($input->students))]);
            if (count($known) !== count(array_unique($input->students))) {
                throw Problem::invalid(['students' => 'One of these students was not found.']);
            }
            foreach ($known as $row) {
                $ids[$row->text('id')] = true;
            }
        }
        if ($ids === []) {
            throw Problem::invalid(['classes' => 'Choose at least one class with students, or single students.']);
        }

        return array_keys($ids);
    }

    private function view(Row $r): HandoutView
    {
        $now = Row::iso($this->database->now());
        $opens = $r->timeOrNull('opens_at');
        $closes = $r->timeOrNull('closes_at');

        return new HandoutView(
            $r->text('id'),
            $r->text('title'),
            $r->text('paper_id'),
            $r->int('edition'),
            $r->names('classes'),
            Conditions::fromArray($r->json('conditions'))->toArray(),
            $r->bool('visible'),
            match (true) {
                $r->textOrNull('closed_at') !== null, $closes !== null && $closes <= $now => 'closed',
                !$r->bool('visible') => 'hidden',
                $opens !== null && $opens > $now => 'scheduled',
                default => 'open',
            },
            $opens,
            $closes,
            $r->timeOrNull('closed_at'),
            $r->time('made_at'),
            $r->int('expected'),
            $r->int('open'),
            $r->int('handed_in'),
            $r->int('returned'),
            $r->int('waiting'),
            $r->textOrNull('group_name'),
        );
    }
}
