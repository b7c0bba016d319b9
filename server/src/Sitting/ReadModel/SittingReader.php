<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Handout\ReadModel\HandoutReader;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Identity\ReadModel\TeamSettings;
use ChalkLadder\Server\Paper\PublishedPapers;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\StoredSitting;
use Doctrine\DBAL\Connection;
use Psr\Cache\CacheItemPoolInterface;

/**
 * Sittings and their answers as they are looked at.
 *
 * @phpstan-type SittingRow array{id: string, handout_id: string, student_id: string, attempt: int, state: string, seed: string, walk: string, at_entry: string|null, message: string, reply: string|null, handed_in_at: string|null, veiled: bool, edition_id: string, conditions: string, visible: bool, opens_at: string|null, closes_at: string|null, closed_at: string|null, closed_since: bool, rules_version: int, mark_step: string, fewer_options: int, support: string, mended: string, due_at: string|null, turn_entry: string|null, turn_due_at: string|null, held_at: string|null, held_words: string}
 */
final readonly class SittingReader extends ReadModel
{
    /** Seconds. What is remembered is proved by the writing, so this bounds memory, not error. */
    private const REMEMBERED = 900;
    private const MOST_LATE = 200;

    public function __construct(Connection $connection, private PublishedPapers $papers, private CacheItemPoolInterface $memory)
    {
        parent::__construct($connection);
    }

    /** A student's own sitting; anybody else's is not found. */
    public function ofStudent(string $studentId, string $id): StoredSitting
    {
        return $this->stored($this->rowOfStudent($studentId, $id));
    }

    /**
     * A student's own sitting as it was when this machine last read it, so it may be behind: only {@see Saving::all} takes
     * it, which writes nothing when it is.
     */
    public function remembered(string $studentId, string $id): StoredSitting
    {
        $place = $this->memory->getItem(self::place($studentId, $id));
        /** @var SittingRow|null $row remembered by ourselves */
        $row = $place->get();
        if ($row === null) {
            $row = $this->rowOfStudent($studentId, $id) ?? throw Problem::notFound('The sitting');
            $this->memory->save($place->set($row)->expiresAfter(self::REMEMBERED));
        }

        return $this->stored($row);
    }

    /** @return list<string> ids of the misconceptions that the answers of a sitting show, by machine or by hand */
    public function misconceptions(string $id): array
    {
        return $this->texts('SELECT DISTINCT unnest(misconceptions)::text FROM '.SittingTables::RESPONSES.' r WHERE sitting_id = :id', ['id' => $id]);
    }

    public function isOf(string $studentId, string $id): bool
    {
        return $this->row('SELECT 1 FROM sitting WHERE id = :id AND student_id = :who', ['id' => $id, 'who' => $studentId]) !== null;
    }

    /** @return list<string> ids of all that a student has ever begun */
    public function idsOf(string $studentId): array
    {
        return $this->texts('SELECT id::text FROM sitting WHERE student_id = :who', ['who' => $studentId]);
    }

    public function forget(string $studentId, string $id): void
    {
        $this->memory->deleteItem(self::place($studentId, $id));
    }

    public function ofTeam(string $teamId, string $id): StoredSitting
    {
        /** @var SittingRow|null $row */
        $row = $this->row(self::select().' WHERE s.id = :id AND h.team_id = :team', ['id' => $id, 'team' => $teamId]);

        return $this->stored($row);
    }

    /** @return list<StoredSitting> of a handout, that are still open */
    public function openOf(string $handoutId): array
    {
        return $this->of($handoutId, "AND s.state = 'open'");
    }

    /** @return list<StoredSitting> of a handout, every attempt */
    public function allOf(string $handoutId): array
    {
        return $this->of($handoutId, '');
    }

    /** @return list<StoredSitting> */
    private function of(string $handoutId, string $and): array
    {
        /** @var list<SittingRow> $rows */
        $rows = $this->rows(self::select()." WHERE s.handout_id = :id $and ORDER BY s.id", ['id' => $handoutId]);

        return array_map($this->stored(...), $rows);
    }

    /** @return list<Answer> checked afresh under the rule that holds now */
    public function answers(StoredSitting $sitting): array
    {
        return $this->given([$sitting->id])[$sitting->id]->answers($sitting);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, GivenAnswers> what was given in these sittings, kept aside or not, by sitting
     */
    public function given(array $ids): array
    {
        /** @var list<array{sitting_id: string, entry: string, try: int, value: string, counter: int, settled: bool, hints_opened: int, hand_credit: string|null, hand_levels: string|null, comment: string, saved_at: string, mark_version: int, millis: int|null, confidence: int|null, working: string|null, aside: string|null}> $rows */
        $rows = $ids === [] ? [] : $this->rows('SELECT sitting_id, entry, try, value, counter, settled, hints_opened, hand_credit,
            hand_levels, comment, saved_at, mark_version, millis, confidence, working, aside
            FROM response WHERE sitting_id IN (:ids) ORDER BY entry, try', ['ids' => $ids]);
        $given = array_fill_keys($ids, []);
        foreach ($rows as $row) {
            $given[$row['sitting_id']][] = $row;
        }

        return array_map(static fn (array $rows): GivenAnswers => new GivenAnswers($rows), $given);
    }

    /** @return list<Answer> what came too late, in the order it came */
    public function late(StoredSitting $sitting): array
    {
        /** @var list<array{entry: string, try: int, value: string, counter: int, received_at: string}> $rows */
        $rows = $this->rows(
            'SELECT entry, try, value, counter, received_at FROM late_response WHERE sitting_id = :id
                ORDER BY received_at LIMIT '.self::MOST_LATE,
            ['id' => $sitting->id],
        );
        $late = [];
        foreach ($rows as $row) {
            $response = ResponseReader::fromArray(Json::decode($row['value']));
            $own = $sitting->own($row['entry'], $row['try']);
            if ($own !== null) {
                $late[] = new Answer($row['entry'], $row['try'], $response, $row['counter'], true, $own->check($response));
            }
        }

        return $late;
    }

    /** The counter of what is stored for a step; null where nothing is. */
    public function counter(string $sittingId, string $entry, int $try): ?int
    {
        /** @var array{counter: int}|null $row */
        $row = $this->row(
            'SELECT counter FROM response WHERE sitting_id = :id AND entry = :entry AND try = :try',
            ['id' => $sittingId, 'entry' => $entry, 'try' => $try],
        );

        return $row['counter'] ?? null;
    }

    public static function walk(string $stored): Walk
    {
        /** @var array{visits: list<array{section: string, try: int, entries: list<string>, round?: int}>, ended: bool} $walk written by ourselves */
        $walk = Json::decode($stored);

        return Walk::fromArray($walk);
    }

    private static function select(): string
    {
        return 'SELECT s.id, s.handout_id, s.student_id, s.attempt, s.state, s.seed, s.walk, s.at_entry, s.message, s.reply,
            s.handed_in_at, s.veiled, s.fewer_options, s.mended, s.due_at, s.turn_entry,
            s.turn_due_at, st.support,
                h.held_at, h.held_words,
                h.edition_id, h.conditions, h.visible, h.opens_at, h.closes_at, h.closed_at, '.SittingTables::CLOSED_SINCE.' AS closed_since,
                e.rules_version,
                '.TeamSettings::markStep('h.team_id').' AS mark_step
            FROM sitting s JOIN '.HandoutTables::GIVEN.' h ON h.id = s.handout_id AND h.student_id = s.student_id
            JOIN '.PaperTables::RULES.' e ON e.id = h.edition_id JOIN '.RosterTables::SUPPORT.' st ON st.id = s.student_id';
    }

    /** @return SittingRow|null */
    private function rowOfStudent(string $studentId, string $id): ?array
    {
        /** @var SittingRow|null $row */
        $row = $this->row(self::select().' WHERE s.id = :id AND s.student_id = :who AND h.visible', ['id' => $id, 'who' => $studentId]);

        return $row;
    }

    /** @param SittingRow|null $row */
    private function stored(?array $row): StoredSitting
    {
        if ($row === null) {
            throw Problem::notFound('The sitting');
        }

        return new StoredSitting(
            $row['id'],
            $row['handout_id'],
            $row['student_id'],
            $row['attempt'],
            SittingState::from($row['state']),
            $row['seed'],
            self::walk($row['walk']),
            $this->papers->load($row['edition_id'], $row['rules_version']),
            $row['rules_version'],
            Conditions::fromArray(Json::decode($row['conditions'])),
            BigRational::of($row['mark_step']),
            HandoutReader::window($row),
            $row['veiled'],
            $row['at_entry'],
            $row['message'],
            $row['reply'],
            Moment::isoOrNull($row['handed_in_at']),
            RosterList::support($row['support']),
            $row['fewer_options'],
            Json::named($row['mended']),
            $row['held_at'] === null ? null : $row['held_words'],
            $row['due_at'] === null ? null : Moment::read($row['due_at']),
            $row['turn_entry'],
            $row['turn_due_at'] === null ? null : Moment::read($row['turn_due_at']),
            $row['closed_since'],
        );
    }

    private static function place(string $studentId, string $id): string
    {
        return "sitting-$id-$studentId";
    }
}
