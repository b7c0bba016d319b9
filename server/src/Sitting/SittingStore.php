<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;
use Psr\Cache\CacheItemPoolInterface;

/** Sittings and responses, in and out of the database. */
final readonly class SittingStore
{
    private const SELECT = 'SELECT s.*, h.edition_id, h.conditions, h.visible, h.closed_at, h.opens_at, h.closes_at,
            (SELECT rules_version FROM edition WHERE id = h.edition_id) AS rules_version, (SELECT mark_step FROM team WHERE id = h.team_id) AS mark_step
        FROM sitting s JOIN handout h ON h.id = s.handout_id';

    /** Seconds. What is remembered is proved by the writing, so this bounds memory, not error. */
    private const REMEMBERED = 900;

    public function __construct(private Database $database, private Editions $editions, private CacheItemPoolInterface $memory)
    {
    }

    /** A student's own sitting; anybody else's is not found. */
    public function ofStudent(string $studentId, string $id, bool $lock = false): StoredSitting
    {
        return $this->stored($this->database->row(self::SELECT.' WHERE s.id = :id AND s.student_id = :who AND h.visible'.($lock ? ' FOR UPDATE OF s' : ''), ['id' => $id, 'who' => $studentId]));
    }

    /**
     * A student's own sitting as it was when this machine last read it, so it may be behind: only {@see writeAll} takes
     * it, which writes nothing when it is.
     */
    public function remembered(string $studentId, string $id): StoredSitting
    {
        $place = $this->memory->getItem(self::place($studentId, $id));
        $known = $place->get();
        $row = $known instanceof Row ? $known : $this->database->row(self::SELECT.' WHERE s.id = :id AND s.student_id = :who AND h.visible', ['id' => $id, 'who' => $studentId]);
        $sitting = $this->stored($row);
        if (!$place->isHit()) {
            $this->memory->save($place->set($row)->expiresAfter(self::REMEMBERED));
        }

        return $sitting;
    }

    public function forget(string $studentId, string $id): void
    {
        $this->memory->deleteItem(self::place($studentId, $id));
    }

    /** A sitting of the team's. */
    public function ofTeam(string $teamId, string $id, bool $lock = false): StoredSitting
    {
        return $this->stored($this->database->row(self::SELECT.' WHERE s.id = :id AND h.team_id = :who'.($lock ? ' FOR UPDATE OF s' : ''), ['id' => $id, 'who' => $teamId]));
    }

    /** @return list<StoredSitting> every sitting of a handout that is still open, locked */
    public function openOf(string $handoutId): array
    {
        return array_map($this->stored(...), $this->database->rows(self::SELECT." WHERE s.handout_id = :id AND s.state = 'open' ORDER BY s.id FOR UPDATE OF s", ['id' => $handoutId]));
    }

    /** @return list<Answer> */
    public function answers(StoredSitting $sitting): array
    {
        $rows = $this->database->rows('SELECT entry, try, value, counter, settled, hint_opened, hand_credit, hand_levels, comment, saved_at, mark_version, millis, confidence FROM response WHERE sitting_id = :id ORDER BY entry, try', ['id' => $sitting->id]);
        $given = [];
        foreach ($rows as $row) {
            $given[$row->text('entry')][$row->int('try')] = Response::fromArray($row->json('value'));
        }
        $checking = $sitting->checking($given);

        return array_map(static function (Row $r) use ($given, $checking): Answer {
            $response = $given[$r->text('entry')][$r->int('try')];

            return Answer::fromRow($r, $response, $checking->outcome($r->text('entry'), $response));
        }, $rows);
    }

    /** Brings stored outcomes in line where checks look back at answers that have changed. */
    public function refreshOutcomes(StoredSitting $sitting): void
    {
        foreach ($this->answers($sitting) as $answer) {
            if ($sitting->own($answer->entry)?->item->looksBackTo() !== []) {
                $this->database->run('UPDATE response SET credit = :credit, verdict = :verdict, line = :line, read_as = :readAs, misconceptions = :misconceptions WHERE sitting_id = :sitting AND entry = :entry AND try = :try', ['sitting' => $sitting->id, 'entry' => $answer->entry, 'try' => $answer->try] + self::outcome($answer));
            }
        }
    }

    /** Writes a response unless a newer one is stored or it can no longer change. */
    public function write(string $sittingId, Answer $answer, string $clientId): bool
    {
        return $this->database->run('INSERT INTO response AS r (sitting_id, entry, try, value, counter, client_id, saved_at, credit, verdict, line, read_as, misconceptions, millis, confidence)
            VALUES (:sitting, :entry, :try, :value, :counter, :client, :at, :credit, :verdict, :line, :readAs, :misconceptions, :millis, :confidence)
            ON CONFLICT (sitting_id, entry, try) DO UPDATE SET value = excluded.value, counter = excluded.counter, client_id = excluded.client_id, saved_at = excluded.saved_at,
                credit = excluded.credit, verdict = excluded.verdict, line = excluded.line, read_as = excluded.read_as, misconceptions = excluded.misconceptions, millis = greatest(r.millis, excluded.millis), confidence = coalesce(excluded.confidence, r.confidence)
            WHERE r.counter < excluded.counter AND NOT r.settled', [
            'sitting' => $sittingId, 'entry' => $answer->entry, 'try' => $answer->try, 'value' => Json::encode($answer->response->toArray()),
            'counter' => $answer->counter, 'client' => $clientId, 'at' => $this->database->now(), 'millis' => $answer->millis, 'confidence' => $answer->confidence,
        ] + self::outcome($answer)) === 1;
    }

    /**
     * Writes answers to an open sitting in one statement, if its way, edition and keys are still those that were read
     * and the student may still see it.
     *
     * @param list<array{Answer, string}> $answers of different entries, each with its client id
     * @param string|null                 $at      the entry the student is at; null leaves it
     *
     * @return list<string>|null the entries whose answer was not older than what is stored; null when the sitting has moved on
     */
    public function writeAll(StoredSitting $sitting, array $answers, ?string $at): ?array
    {
        $rows = array_map(static fn (array $a): array => [
            'e' => $a[0]->entry, 't' => $a[0]->try, 'v' => $a[0]->response->toArray(), 'n' => $a[0]->counter, 'i' => $a[1], 'c' => $a[0]->outcome->credit === null ? null : (string) $a[0]->outcome->credit,
            'd' => $a[0]->outcome->verdict->value, 'l' => $a[0]->outcome->line, 'r' => mb_substr($a[0]->outcome->readAs, 0, 500), 'm' => '{'.implode(',', $a[0]->outcome->misconceptions).'}', 's' => $a[0]->millis, 'k' => $a[0]->confidence,
        ], $answers);
        $row = $this->database->row("WITH here AS (
                UPDATE sitting s SET at_entry = coalesce(:at, at_entry), version = version + 1 FROM handout h JOIN edition e ON e.id = h.edition_id
                WHERE s.id = :id AND s.student_id = :who AND s.state = 'open' AND s.walk = :walk::jsonb AND h.id = s.handout_id AND h.visible AND e.id = :edition AND e.rules_version = :rules RETURNING s.id
            ), kept AS (
                INSERT INTO response AS r (sitting_id, entry, try, value, counter, client_id, saved_at, credit, verdict, line, read_as, misconceptions, millis, confidence)
                SELECT here.id, n.e, n.t, n.v, n.n, n.i, :now, n.c, n.d, n.l, n.r, n.m::uuid[], n.s, n.k FROM here, jsonb_to_recordset(:rows::jsonb) AS n (e text, t int, v jsonb, n bigint, i text, c text, d text, l text, r text, m text, s int, k int)
                ON CONFLICT (sitting_id, entry, try) DO UPDATE SET value = excluded.value, counter = excluded.counter, client_id = excluded.client_id, saved_at = excluded.saved_at,
                    credit = excluded.credit, verdict = excluded.verdict, line = excluded.line, read_as = excluded.read_as, misconceptions = excluded.misconceptions, millis = greatest(r.millis, excluded.millis), confidence = coalesce(excluded.confidence, r.confidence)
                WHERE r.counter < excluded.counter AND NOT r.settled RETURNING r.entry
            ) SELECT EXISTS (SELECT 1 FROM here) AS here, (SELECT coalesce(json_agg(entry), '[]') FROM kept) AS kept", ['at' => $at, 'id' => $sitting->id, 'who' => $sitting->studentId, 'edition' => $sitting->edition->id, 'rules' => $sitting->rulesVersion, 'walk' => Json::encode($sitting->walk->toArray()), 'now' => $this->database->now(), 'rows' => Json::encode($rows)]);

        return $row?->bool('here') === true ? $row->names('kept') : null;
    }

    /** Brings a sitting's state and marks in line with its answers. Open sittings stay open. */
    public function settleMarks(StoredSitting $sitting, SittingState $state): void
    {
        $answers = $this->answers($sitting);
        $score = Score::of($sitting->edition->paper(), $sitting->walk, Answer::credits($answers), $sitting->markStep);
        if ($state === SittingState::HandedIn || $state === SittingState::Marked) {
            $state = SittingState::afterMarking($score->waiting !== []);
        }
        $this->database->run('UPDATE sitting SET state = :state, marks = :marks, version = version + 1 WHERE id = :id', ['state' => $state->value, 'marks' => (string) $score->total->toScale(6, RoundingMode::HALF_UP), 'id' => $sitting->id]);
    }

    private function stored(?Row $row): StoredSitting
    {
        if ($row === null) {
            throw Problem::notFound('The sitting');
        }
        $now = $this->database->now();
        $closes = $row->timeOrNull('closes_at');

        return new StoredSitting(
            $row->text('id'),
            $row->text('handout_id'),
            $row->text('student_id'),
            $row->int('attempt'),
            SittingState::from($row->text('state')),
            $row->text('seed'),
            self::walk($row->json('walk')),
            $this->editions->load($row->text('edition_id'), $row->int('rules_version')),
            $row->int('rules_version'),
            Conditions::fromArray($row->json('conditions')),
            BigRational::of($row->text('mark_step')),
            $row->textOrNull('closed_at') === null && ($closes === null || new \DateTimeImmutable($closes) > new \DateTimeImmutable($now)),
            $row->textOrNull('at_entry'),
            $row->text('message'),
            $row->textOrNull('reply'),
            $row->timeOrNull('handed_in_at'),
        );
    }

    /** @return array{credit: string|null, verdict: string, line: string, readAs: string, misconceptions: string} */
    private static function outcome(Answer $answer): array
    {
        $o = $answer->outcome;

        return ['credit' => $o->credit === null ? null : (string) $o->credit, 'verdict' => $o->verdict->value, 'line' => $o->line, 'readAs' => mb_substr($o->readAs, 0, 500), 'misconceptions' => '{'.implode(',', $o->misconceptions).'}'];
    }

    private static function place(string $studentId, string $id): string
    {
        return "sitting-$id-$studentId";
    }

    /** @param array<array-key, mixed> $stored */
    private static function walk(array $stored): Walk
    {
        /** @var array{visits: list<array{section: string, try: int, entries: list<string>}>, ended: bool} $stored written by ourselves */
        return Walk::fromArray($stored);
    }
}
