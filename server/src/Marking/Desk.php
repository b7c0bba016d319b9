<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\OpenRule;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Marking\LookAlike;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Lookout;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\SittingChanged;
use ChalkLadder\Server\Sitting\SittingStore;
use Psr\EventDispatcher\EventDispatcherInterface;

/** Marking by question: what waits, the answers of one question, and each mark as it is given. */
final readonly class Desk
{
    private const SHELF = 6;
    /** What was marked twice stays on the second desk, whoever settled it since. */
    private const MARKED_BY_OTHERS = ' AND (own.staff_id IS NOT NULL OR (r.hand_levels IS NOT NULL AND r.hand_by <> :who))';

    public function __construct(
        private Database $database,
        private Handouts $handouts,
        private SittingStore $sittings,
        private History $history,
        private Returning $returning,
        private EventDispatcherInterface $events,
    ) {
    }

    public function waiting(StaffUser $who): WaitingListView
    {
        $teamId = $who->teamId;
        $rows = $this->database->rows("SELECT h.id, h.title, r.entry, count(*) FILTER (WHERE r.hand_credit IS NULL) AS waiting, count(*) AS answers,
                (SELECT coalesce(json_agg(c.name ORDER BY c.name), '[]') FROM handout_class hc JOIN class c ON c.id = hc.class_id WHERE hc.handout_id = h.id) AS classes
            FROM handout h JOIN sitting s ON s.handout_id = h.id AND s.state <> 'open' JOIN response r ON r.sitting_id = s.id AND r.verdict = 'by hand'
            WHERE h.team_id = :team GROUP BY h.id, r.entry ORDER BY (count(*) FILTER (WHERE r.hand_credit IS NULL) > 0) DESC, h.made_at DESC, r.entry LIMIT 200", ['team' => $teamId]);
        $views = [];
        $waiting = 0;
        foreach ($rows as $row) {
            $edition = $this->handouts->find($teamId, $row->text('id'))->edition;
            $entry = $row->text('entry');
            $waiting += $row->int('waiting');
            $views[] = new WaitingView($row->text('id'), $row->text('title'), $row->names('classes'), $entry, $edition->numbers()[$entry] ?? 0, $edition->title($entry), $row->int('waiting'), $row->int('answers'));
        }

        return new WaitingListView($views, $waiting, $who->role === Role::Marker ? [] : $this->returning->handouts($teamId));
    }

    /** @param bool $second the answers that somebody else has marked, without their marks */
    public function desk(StaffUser $who, string $handoutId, string $entry, bool $second = false): DeskView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);
        $item = $handout->edition->item($entry) ?? throw Problem::notFound('The question');
        $hidden = $who->role === Role::Marker;
        if ($second && !$item->rule instanceof OpenRule) {
            throw Problem::notFound('The open question');
        }
        $rows = $this->database->rows("SELECT r.sitting_id, r.entry, r.try, r.value, r.counter, r.settled, r.hint_opened, r.hand_credit, r.hand_levels, r.comment, r.saved_at, r.mark_version, r.millis, r.confidence, r.credit, r.verdict, r.line, r.read_as, s.state, s.seed, st.name, dense_rank() OVER (ORDER BY s.seed) AS alias, own.levels AS own_levels
            FROM response r JOIN sitting s ON s.id = r.sitting_id AND s.state <> 'open' JOIN student st ON st.id = s.student_id
            LEFT JOIN moderation_mark own ON own.sitting_id = r.sitting_id AND own.entry = r.entry AND own.try = r.try AND own.staff_id = :who
            WHERE s.handout_id = :handout AND r.entry = :entry AND r.verdict <> 'none'".($second ? self::MARKED_BY_OTHERS : '').' ORDER BY st.name_folded, s.attempt, r.try', ['handout' => $handoutId, 'entry' => $entry, 'who' => $who->id]);
        // A second marker is not to see what the first one gave.
        $events = $second ? [] : $this->history->marks($handoutId, $entry);
        $answers = array_map(static fn (Row $r): MarkedAnswerView => $second ? self::unmarked($handout->edition->own($entry, $r->text('seed'))->item ?? $item, $r, $hidden) : self::answer($handout->edition->own($entry, $r->text('seed'))->item ?? $item, $r, $hidden, $events[$r->text('sitting_id').'|'.$r->int('try')] ?? []), $rows);
        $sets = array_map(static fn (array $places): LookAlikeView => new LookAlikeView(mb_strimwidth($answers[$places[0]]->given ?? '', 0, 90, '…'), $places), self::alike($item, $answers));
        $shelf = $second ? [] : $this->database->rows('SELECT r.comment FROM response r JOIN sitting s ON s.id = r.sitting_id JOIN handout h ON h.id = s.handout_id WHERE h.edition_id = :edition AND h.team_id = :team AND r.entry = :entry AND r.comment <> \'\' GROUP BY r.comment ORDER BY count(*) DESC, max(r.hand_at) DESC LIMIT '.self::SHELF, ['edition' => $handout->edition->id, 'team' => $who->teamId, 'entry' => $entry]);
        $waiting = [];
        foreach ($this->database->rows("SELECT r.entry, count(*) AS n FROM response r JOIN sitting s ON s.id = r.sitting_id AND s.state <> 'open' WHERE s.handout_id = :handout AND r.verdict = 'by hand' AND r.hand_credit IS NULL GROUP BY r.entry", ['handout' => $handoutId]) as $row) {
            $waiting[$row->text('entry')] = $row->int('n');
        }
        $tabs = [];
        foreach ($handout->edition->numbers() as $id => $number) {
            $tabs[] = new QuestionTabView((string) $id, $number, $handout->edition->title((string) $id), $waiting[$id] ?? 0);
        }

        return new DeskView($handoutId, $handout->title, $entry, $handout->edition->numbers()[$entry] ?? 0, $handout->edition->title($entry), $item->toArray(), $answers, $sets, array_map(static fn (Row $r): string => $r->text('comment'), $shelf), $tabs, $hidden, $handout->markStep->toFloat(), $second, $second ? [] : $this->history->keys($handout->edition, $entry));
    }

    public function mark(StaffUser $who, MarkInput $input): MarkView
    {
        return $this->database->together(function () use ($who, $input): MarkView {
            $sitting = $this->sittings->ofTeam($who->teamId, $input->sittingId, true);
            $item = $sitting->own($input->entry)->item ?? throw Problem::notFound('The question');
            if ($who->role === Role::Marker && !$item->rule->waitsForMarker()) {
                throw Problem::refused('A marker marks open answers; a teacher corrects the machine.');
            }
            $before = array_values(array_filter($this->sittings->answers($sitting), static fn (Answer $a): bool => $a->entry === $input->entry && $a->try === $input->try))[0] ?? throw Problem::notFound('The answer');
            if ($before->markVersion !== $input->markVersion) {
                throw Problem::conflict('Somebody marked this answer before you.', 'Their mark is shown now. Mark again if you see it otherwise.', ['markVersion' => $before->markVersion]);
            }
            [$credit, $levels] = $this->creditOf($item, $input);
            $at = $this->database->now();
            $kind = $item->rule->waitsForMarker() ? 'hand' : 'override';
            $this->database->run('UPDATE response SET hand_credit = :credit, hand_levels = :levels, comment = :comment, misconceptions = :misconceptions, hand_by = :by, hand_at = :at, mark_version = mark_version + 1 WHERE sitting_id = :id AND entry = :entry AND try = :try', [
                'credit' => $credit === null ? null : (string) $credit,
                'levels' => $levels === null ? null : Json::encode($levels),
                'comment' => trim($input->comment),
                'misconceptions' => '{'.implode(',', $item->rule instanceof OpenRule && $levels !== null ? $item->rule->misconceptionsOf($levels) : $before->outcome->misconceptions).'}',
                'by' => $who->id, 'at' => $at, 'id' => $sitting->id, 'entry' => $input->entry, 'try' => $input->try,
            ]);
            $this->database->insert('mark_event', [
                'id' => $this->database->newId(), 'sitting_id' => $sitting->id, 'entry' => $input->entry, 'try' => $input->try, 'kind' => $kind,
                'before_credit' => $before->credit() === null ? null : (string) $before->credit(), 'after_credit' => $credit === null ? null : (string) $credit,
                'comment' => trim($input->comment), 'levels' => $levels === null ? null : Json::encode($levels), 'staff_id' => $who->id, 'at' => $at,
            ]);
            $this->sittings->settleMarks($sitting, $sitting->state);
            $this->events->dispatch(new SittingChanged($sitting->handoutId, $sitting->id));
            $after = $credit ?? $before->outcome->credit;

            return new MarkView($after === null ? null : (string) $after, $credit === null ? $before->outcome->verdict->value : Verdict::ofCredit($credit)->value, $credit !== null, $levels, trim($input->comment), $before->markVersion + 1, new MarkEventView($kind, $before->credit() === null ? null : (string) $before->credit(), $credit === null ? null : (string) $credit, trim($input->comment), $who->name, Row::iso($at)));
        });
    }

    /** @return array{BigRational|null, list<int|null>|null} */
    private function creditOf(Item $item, MarkInput $input): array
    {
        if ($item->rule instanceof OpenRule && $input->levels !== null) {
            $levels = [];
            foreach ($item->rule->criteria as $i => $criterion) {
                $level = $input->levels[$i] ?? null;
                if ($level !== null && !isset($criterion->levels[$level])) {
                    throw Problem::invalid(['levels' => sprintf('"%s" has no such level.', $criterion->name)]);
                }
                $levels[] = $level;
            }

            return [$item->rule->creditFor($levels), $levels];
        }
        if ($input->credit === null) {
            return [null, null];
        }
        $credit = BigRational::of(str_starts_with($input->credit, '.') ? '0'.$input->credit : $input->credit);
        if ($credit->isGreaterThan(1)) {
            throw Problem::invalid(['credit' => 'Credit is a number from 0 to 1, such as 1/2.']);
        }

        return [$credit->simplified(), null];
    }

    /**
     * Answers that look alike. Where a machine has marked them, only those of the same credit: a near miss is to be seen
     * beside what it missed, not inside it.
     *
     * @param list<MarkedAnswerView> $answers
     *
     * @return list<list<int>> places in the list, the largest set first
     */
    private static function alike(Item $item, array $answers): array
    {
        $byCredit = [];
        foreach ($answers as $place => $answer) {
            $byCredit[$item->rule->waitsForMarker() ? '' : 'c'.$answer->credit]['a'.$place] = self::meant($item, $answer);
        }
        $sets = [];
        foreach ($byCredit as $texts) {
            foreach (LookAlike::sets($texts) as $ids) {
                $sets[] = array_map(static fn (string $id): int => (int) substr($id, 1), $ids);
            }
        }
        usort($sets, static fn (array $a, array $b): int => count($b) <=> count($a));

        return $sets;
    }

    /** What an answer is compared by: a number by its value, where how it is written does not count. */
    private static function meant(Item $item, MarkedAnswerView $answer): string
    {
        return $item->rule instanceof NumberRule && $item->rule->anyForm() && !in_array($answer->readAs, ['', NumberRule::UNREADABLE], true) ? $answer->readAs : $answer->given;
    }

    /** An answer as if nobody but the reader had marked it. */
    private static function unmarked(Item $item, Row $r, bool $hidden): MarkedAnswerView
    {
        $seen = self::answer($item, $r, $hidden);
        $own = $r->textOrNull('own_levels');
        $levels = $own === null ? null : array_values(array_map(static fn (mixed $l): ?int => is_int($l) ? $l : null, Json::decode($own)));

        return new MarkedAnswerView($seen->sittingId, $seen->try, $seen->student, $seen->given, $seen->response, $seen->readAs, Verdict::ByHand->value, null, $levels !== null, $levels, '', 0, false, []);
    }

    /** @param list<MarkEventView> $events */
    private static function answer(Item $item, Row $r, bool $hidden, array $events = []): MarkedAnswerView
    {
        $credit = $r->textOrNull('credit');
        $answer = Answer::fromRow($r, Response::fromArray($r->json('value')), new Outcome($credit === null ? null : BigRational::of($credit), Verdict::from($r->text('verdict')), $r->text('line'), $r->text('read_as')));
        $credit = $answer->credit();

        return new MarkedAnswerView(
            $r->text('sitting_id'),
            $answer->try,
            $hidden ? 'Student '.$r->int('alias') : $r->text('name'),
            Lookout::given($item, $answer->response),
            $answer->response->toArray(),
            $answer->outcome->readAs,
            $answer->verdict()->value,
            $credit === null ? null : (string) $credit,
            $answer->handCredit !== null,
            $answer->handLevels,
            $answer->comment,
            $answer->markVersion,
            $r->text('state') === SittingState::Returned->value,
            $events,
        );
    }
}
