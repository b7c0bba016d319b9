<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Server\Handout\BegunWork;
use ChalkLadder\Server\Handout\Progress;
use ChalkLadder\Server\Handout\ProgressOfWork;
use ChalkLadder\Server\Handout\ReadModel\HandoutReader;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\Api\View\OwnWorkRowView;

/** Work as it is listed: a student's own, and how far that of whole handouts is. */
final readonly class WorkList extends ReadModel implements BegunWork, ProgressOfWork
{
    private const MOST = 200;

    /** @return list<OwnWorkRowView> */
    public function own(string $studentId, \DateTimeImmutable $now): array
    {
        /** @var list<array{id: string, title: string, conditions: string, visible: bool, opens_at: string|null, closes_at: string|null, closed_at: string|null, extra_minutes: int, support: string, sitting_id: string|null, state: string|null, attempt: int, marks: string|null, possible: string|null, closed_since: bool|null}> $rows */
        $rows = $this->rows('SELECT h.id, h.title, h.conditions, h.visible, h.opens_at, h.closes_at, h.closed_at,
            h.extra_minutes, st.support, s.id AS sitting_id, s.state, coalesce(s.attempt, 0) AS attempt, s.marks, s.possible,
            '.SittingTables::CLOSED_SINCE.' AS closed_since
            FROM '.HandoutTables::GIVEN.' h JOIN '.RosterTables::SUPPORT.' st ON st.id = h.student_id
            LEFT JOIN LATERAL (SELECT id, state, attempt, marks, possible, handed_in_at FROM sitting
            WHERE handout_id = h.id AND student_id = h.student_id ORDER BY attempt DESC LIMIT 1) s ON true
            WHERE h.student_id = :who AND h.visible ORDER BY coalesce(h.opens_at, h.made_at) DESC, h.id LIMIT '.self::MOST, ['who' => $studentId]);

        $own = [];
        foreach ($rows as $r) {
            $conditions = Conditions::fromArray(Json::decode($r['conditions']));
            $window = HandoutReader::window($r);
            $support = RosterList::support($r['support']);
            $seconds = $conditions->secondsFor($support);
            $state = $r['state'] === null ? SittingState::Expected : SittingState::from($r['state']);
            $isMarked = $state === SittingState::Marked || $state === SittingState::Returned;
            $isTold = $isMarked && $conditions->feedback->tells(Told::Marks, ToldFrom::reached($state, $r['closed_since'] === true));

            // A lesson that is over is no work that somebody owes who was not there.
            if ($conditions->inRoom && $state === SittingState::Expected && $window->isClosedAt($now)) {
                continue;
            }
            $own[] = new OwnWorkRowView(
                $r['id'],
                $r['title'],
                self::status($state, $window, $now),
                $r['sitting_id'],
                Moment::isoOrNull($r['opens_at']),
                Moment::isoOrNull($r['closes_at']),
                $r['attempt'],
                $conditions->attempts,
                $window->isOpenAt($now) && ($state === SittingState::Open || $r['attempt'] < $conditions->attempts),
                $seconds === null ? null : (int) ceil($seconds / 60) + $r['extra_minutes'],
                $conditions->secondsEachFor($support),
                $isTold ? self::inWords($r['marks']) : null,
                $isTold ? self::inWords($r['possible']) : null,
            );
        }

        return $own;
    }

    private static function inWords(?string $marks): ?string
    {
        return $marks === null ? null : NumberText::write(BigRational::of($marks)->simplified());
    }

    /** @return array{string|null, int} the open sitting of a student, and how many attempts there are */
    public function attempts(string $studentId, string $handoutId): array
    {
        /** @var array{open: string|null, attempts: int} $row */
        $row = $this->row(
            "SELECT max(id::text) FILTER (WHERE state = 'open') AS open, coalesce(max(attempt), 0) AS attempts FROM sitting
                WHERE handout_id = :id AND student_id = :who",
            ['id' => $handoutId, 'who' => $studentId],
        );

        return [$row['open'], $row['attempts']];
    }

    /** @return array<string, list<string>> open sittings whose own time is over, by handout */
    public function overdue(\DateTimeImmutable $now): array
    {
        /** @var list<array{handout_id: string, id: string}> $rows */
        $rows = $this->rows('SELECT s.handout_id, s.id FROM sitting s
            JOIN '.HandoutTables::GIVEN." h ON h.id = s.handout_id AND h.student_id = s.student_id
            WHERE s.state = 'open' AND s.due_at IS NOT NULL AND ".SittingTables::OVERDUE.' ORDER BY s.due_at LIMIT 200', [
            'now' => Moment::stored($now),
        ]);
        $overdue = [];
        foreach ($rows as $row) {
            $overdue[$row['handout_id']][] = $row['id'];
        }

        return $overdue;
    }

    /** Two devices of one student that begin at once do so one after the other, and nobody begins while the edition is another. */
    public function hold(string $studentId, string $handoutId): void
    {
        $this->shareName(self::beginning($handoutId));
        $this->holdName($studentId.$handoutId);
    }

    /** Nobody begins work of a handout until the act ends. */
    public function holdBeginning(string $handoutId): void
    {
        $this->holdName(self::beginning($handoutId));
    }

    private static function beginning(string $handoutId): string
    {
        return 'begin '.$handoutId;
    }

    public function among(string $studentId, array $handoutIds): array
    {
        return $handoutIds === [] ? [] : $this->texts(
            'SELECT DISTINCT handout_id::text FROM sitting WHERE student_id = :who AND handout_id IN (:ids)',
            ['who' => $studentId, 'ids' => $handoutIds],
        );
    }

    public function of(array $handoutIds): array
    {
        /** @var list<array{handout_id: string, open: int, handed_in: int, returned: int, waiting: int}> $rows */
        $rows = $handoutIds === [] ? [] : $this->rows("SELECT s.handout_id,
            count(DISTINCT s.student_id) FILTER (WHERE s.state = 'open') AS open,
            count(DISTINCT s.student_id) FILTER (WHERE ".SittingTables::OVER.") AS handed_in,
                count(DISTINCT s.student_id) FILTER (WHERE s.state = 'returned') AS returned,
                count(*) FILTER (WHERE ".SittingTables::OVER.' AND EXISTS (SELECT 1 FROM '.SittingTables::RESPONSES.' r
                WHERE r.sitting_id = s.id AND '.SittingTables::WAITS.')) AS waiting
            FROM sitting s WHERE s.handout_id IN (:ids) GROUP BY s.handout_id', ['ids' => $handoutIds]);
        $progress = [];
        foreach ($rows as $r) {
            $progress[$r['handout_id']] = new Progress($r['open'], $r['handed_in'], $r['returned'], $r['waiting']);
        }

        return $progress;
    }

    private static function status(SittingState $state, Window $window, \DateTimeImmutable $now): string
    {
        return match (true) {
            $state === SittingState::Open, $state === SittingState::Returned => $state->value,
            // Whether marking is done is the teachers' business until the work comes back.
            $state->isOver() => SittingState::HandedIn->value,
            $window->isClosedAt($now) => 'missed',
            $window->isEarlyAt($now) => 'scheduled',
            default => 'due',
        };
    }
}
