<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\StoredSitting;

/**
 * Writing answers: by far the most frequent act, so one native statement (docs/decisions/hot-path.md). An answer never
 * overwrites a newer or a settled one, whoever comes first.
 */
final readonly class Saving extends ReadModel
{
    private const INSERT = 'INSERT INTO response AS r (sitting_id, entry, try, value, counter, client_id, saved_at, credit, verdict,
        line, read_as, misconceptions, millis, confidence, working)
        SELECT here.id, n.e, n.t, n.v, n.n, n.i, :now, n.c, n.d, n.l, n.r, n.m::uuid[], n.s, n.k, n.w FROM here,
            jsonb_to_recordset(:rows::jsonb) AS n (e text, t int, v jsonb, n bigint, i text, c text, d text, l text, r text, m text,
            s int, k int, w jsonb)
        ON CONFLICT (sitting_id, entry, try) DO UPDATE SET value = excluded.value, counter = excluded.counter,
        client_id = excluded.client_id, saved_at = excluded.saved_at,
            credit = excluded.credit, verdict = excluded.verdict, line = excluded.line, read_as = excluded.read_as,
            misconceptions = excluded.misconceptions,
            millis = greatest(r.millis, excluded.millis), confidence = coalesce(excluded.confidence, r.confidence),
            working = coalesce(excluded.working, r.working)
        WHERE r.counter < excluded.counter AND NOT r.settled RETURNING r.entry';

    /**
     * Writes answers to an open sitting, if its way, edition and keys are still those that were read, the handout still
     * takes answers from this student, and the student is still signed in.
     *
     * @param array{hash: string, now: string, idle: string}|null $session to be proved; null where it has been
     * @param list<array{Answer, string}> $answers of different entries, each with its client id
     * @param string|null                 $at      the entry the student is at; null leaves it
     *
     * @return list<string>|null the entries whose answer was not older than what is stored; null when the sitting has moved on
     */
    public function all(StoredSitting $sitting, ?array $session, array $answers, ?string $at, \DateTimeImmutable $now): ?array
    {
        /** @var array{here: bool, kept: string} $row */
        $row = $this->keptRow('WITH here AS (
                UPDATE sitting s SET at_entry = coalesce(:at, at_entry), revision = revision + 1 FROM '.HandoutTables::GIVEN.' h
                JOIN '.PaperTables::RULES." e ON e.id = h.edition_id
                WHERE s.id = :id AND s.student_id = :who AND s.state = 'open' AND s.walk = :walk::jsonb AND h.id = s.handout_id
                AND h.student_id = s.student_id
                AND ".HandoutTables::TAKES_ANSWERS.' AND NOT '.SittingTables::OVERDUE.'
                AND e.id = :edition AND e.rules_version = :rules
                AND (:hash::text IS NULL OR '.RosterTables::SIGNED_IN.') RETURNING s.id
            ), kept AS ('.self::INSERT.") SELECT EXISTS (SELECT 1 FROM here) AS here, (SELECT coalesce(json_agg(entry), '[]')
            FROM kept) AS kept", [
            'at' => $at, 'id' => $sitting->id, 'who' => $sitting->studentId, 'edition' => $sitting->edition->id,
            'rules' => $sitting->rulesVersion,
            'walk' => Json::encode($sitting->walk->toArray()), 'now' => Moment::stored($now),
            'rows' => Json::encode(array_map(self::columns(...), $answers)),
            'hash' => $session['hash'] ?? null, 'idle' => $session['idle'] ?? null,
        ]);

        return $row['here'] ? Json::texts($row['kept']) : null;
    }

    /** Writes one answer to a sitting that is held; false when a newer one is stored or it can no longer change. */
    public function one(string $sittingId, Answer $answer, string $clientId, \DateTimeImmutable $now): bool
    {
        return $this->row(
            'WITH here AS (SELECT :id::uuid AS id) '.self::INSERT,
            ['id' => $sittingId, 'now' => Moment::stored($now), 'rows' => Json::encode([self::columns([$answer, $clientId])])],
        ) !== null;
    }

    /**
     * @param array{Answer, string} $answer
     *
     * @return array<string, mixed>
     */
    private static function columns(array $answer): array
    {
        [$a, $client] = $answer;

        return [
            'e' => $a->entry,
            't' => $a->try,
            'v' => $a->response->toArray(),
            'n' => $a->counter,
            'i' => $client,
            's' => $a->millis,
            'k' => $a->confidence,
            'w' => $a->working?->toArray(),
        ] + OutcomeColumns::of($a->outcome)->short();
    }
}
