<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\Unit;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Item\Form;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\Option;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Target;
use ChalkLadder\Core\Item\TextRule;
use ChalkLadder\Core\Marking\Change;
use ChalkLadder\Core\Marking\Given;
use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Core\Marking\Remark;
use ChalkLadder\Core\Sitting\Checking;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Lookout;
use ChalkLadder\Server\Paper\Edition;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;

/**
 * Keys that change after the class has sat: first who gains and who loses, then all responses re-marked in one act that
 * can be undone. A changed key holds for every handout of the edition; marks set by hand are left alone.
 */
final readonly class Keys
{
    public function __construct(
        private Database $database,
        private Handouts $handouts,
        private Editions $editions,
        private Bank $bank,
        private Trail $trail,
    ) {
    }

    public function preview(StaffUser $who, string $handoutId, string $entry, KeyInput $input): KeyChangeView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);
        $after = $this->changed($handout->edition, $entry, $input);

        return $this->effect($handout->edition, $entry, $after, $handout->markStep, null, false);
    }

    public function apply(StaffUser $who, string $handoutId, string $entry, KeyInput $input): KeyChangeView
    {
        return $this->database->together(function () use ($who, $handoutId, $entry, $input): KeyChangeView {
            $handout = $this->handouts->find($who->teamId, $handoutId);
            $this->database->row('SELECT id FROM edition WHERE id = :id FOR UPDATE', ['id' => $handout->edition->id]);
            // Read again under the lock: the key may have changed in between.
            $edition = $this->editions->load($handout->edition->id);
            $after = $this->changed($edition, $entry, $input);
            $changeId = $this->editions->changeRule($who, $edition, $entry, $after->rule(), $input->reason);
            $view = $this->effect($edition, $entry, $after, $handout->markStep, $changeId, true, $who);
            $bank = $this->bank->replaceRule($who, $edition->itemIds[$entry] ?? '', $edition->template($entry)?->rule() ?? [], $after->rule());
            $this->trail->note($who, 'change key', 'handout', $handoutId, ['entry' => $entry, 'question' => $edition->numbers()[$entry] ?? 0, 'change' => $changeId, 'gains' => count($view->gains), 'loses' => count($view->loses)]);

            return new KeyChangeView($changeId, $view->rule, $view->gains, $view->loses, $view->same, $view->byHand, $view->returned, $bank);
        });
    }

    /** Takes the latest change of an entry's key back. */
    public function undo(StaffUser $who, string $changeId): KeyChangeView
    {
        return $this->database->together(function () use ($who, $changeId): KeyChangeView {
            $row = $this->database->row('SELECT k.edition_id, k.entry, k.rule_before, k.undone_at, t.mark_step, (SELECT max(made_at) FROM key_change l WHERE l.edition_id = k.edition_id AND l.entry = k.entry AND l.undone_at IS NULL) > k.made_at AS covered
                FROM key_change k JOIN edition e ON e.id = k.edition_id JOIN team t ON t.id = e.team_id WHERE k.id = :id AND e.team_id = :team FOR UPDATE OF e', ['id' => $changeId, 'team' => $who->teamId]) ?? throw Problem::notFound('The change');
            if ($row->textOrNull('undone_at') !== null) {
                throw Problem::conflict('This change has been taken back already.', 'Nothing was altered.');
            }
            if ($row->bool('covered')) {
                throw Problem::conflict('The key was changed again after this.', 'Take the later change back first.');
            }
            $edition = $this->editions->load($row->text('edition_id'));
            $entry = $row->text('entry');
            $now = $edition->template($entry) ?? throw Problem::notFound('The question');
            $before = $now->withRule($row->json('rule_before'));
            $this->database->run('UPDATE key_change SET undone_by = :by, undone_at = :at WHERE id = :id', ['by' => $who->id, 'at' => $this->database->now(), 'id' => $changeId]);
            $this->database->run('UPDATE edition SET rules_version = rules_version + 1 WHERE id = :id', ['id' => $edition->id]);
            $view = $this->effect($edition, $entry, $before, BigRational::of($row->text('mark_step')), $changeId, true, $who, 'key undo');
            $this->bank->replaceRule($who, $edition->itemIds[$entry] ?? '', $now->rule(), $before->rule());
            $this->trail->note($who, 'undo key', 'edition', $edition->id, ['entry' => $entry, 'question' => $edition->numbers()[$entry] ?? 0, 'change' => $changeId]);

            return $view;
        });
    }

    /** The question with the key that is asked for. */
    private function changed(Edition $edition, string $entry, KeyInput $input): ItemTemplate
    {
        $template = $edition->template($entry) ?? throw Problem::notFound('The question');
        $item = $template->sample();
        if ($item->rule->waitsForMarker()) {
            throw Problem::conflict('This question is marked by hand.', 'It has a rubric, not a key. Mark the answers one by one.');
        }
        if ($input->rule === null && $template->hasVariables()) {
            throw Problem::conflict('Every student has numbers of their own here.', 'What is right for one is not for another. Change the key, or set the one mark by hand.');
        }
        try {
            $after = $template->withRule($input->rule ?? self::accepting($item, Response::fromArray($input->accept ?? []), $input)->toArray());
        } catch (DocumentInvalid $e) {
            throw Problem::document($e);
        }
        foreach ($after->sample()->rule->defects() as $defect) {
            if ($defect->blocks) {
                throw Problem::invalid(['rule' => $defect->message]);
            }
        }

        return $after;
    }

    private static function accepting(Item $item, Response $response, KeyInput $input): Rule
    {
        $rule = $item->rule;
        $credit = BigRational::of(str_starts_with($input->credit, '.') ? '0'.$input->credit : $input->credit);
        if ($credit->isGreaterThan(1)) {
            throw Problem::invalid(['credit' => 'Credit is a number from 0 to 1, such as 1/2.']);
        }
        if ($response->isBlank()) {
            throw Problem::invalid(['accept' => 'An empty answer cannot be accepted.']);
        }
        if ($rule instanceof TextRule) {
            return $rule->accepting(new Form(mb_substr(trim($response->text), 0, 200), $credit, $input->feedback));
        }
        if ($rule instanceof NumberRule) {
            $read = NumberText::read($response->text, $rule->style) ?? throw Problem::invalid(['accept' => 'This answer could not be read as a number, so a number rule cannot accept it. Correct it for the one student.']);
            $from = $read->unit === '' ? null : Unit::named($read->unit);
            $to = $rule->unit === '' ? null : Unit::named($rule->unit);
            $value = $from !== null && $to !== null && $from->measuresSameAs($to) ? $from->convert($read->value, $to) : $read->value;

            return $rule->accepting(new Target($value, BigRational::zero(), 'absolute', $credit, $input->feedback));
        }
        if ($rule instanceof ChoiceRule) {
            if (!$credit->isEqualTo(1)) {
                throw Problem::invalid(['credit' => 'An option is a key or it is not; part credit cannot be given to one.']);
            }

            return new ChoiceRule(array_map(static fn (Option $o): Option => in_array($o->id, $response->options, true) ? new Option($o->id, $o->text, true, '', null) : $o, $rule->options), $rule->several, $rule->perOption, $rule->keepLast);
        }

        throw Problem::conflict('This question has no key.', 'Mark it by hand.');
    }

    private function effect(Edition $edition, string $entry, ItemTemplate $after, BigRational $step, ?string $changeId, bool $apply, ?StaffUser $who = null, string $kind = 'key change'): KeyChangeView
    {
        $item = $edition->item($entry) ?? throw Problem::notFound('The question');
        $rows = $this->database->rows('SELECT r.sitting_id, s.seed, r.try, r.value, r.hand_credit IS NOT NULL AS by_hand, st.name, s.state FROM response r JOIN sitting s ON s.id = r.sitting_id JOIN handout h ON h.id = s.handout_id JOIN student st ON st.id = s.student_id
            WHERE h.edition_id = :edition AND r.entry = :entry ORDER BY st.name_folded, st.id, s.attempt, r.try'.($apply ? ' FOR UPDATE OF r, s' : ''), ['edition' => $edition->id, 'entry' => $entry]);
        $looksBack = $item->looksBackTo() !== [];
        $each = $looksBack || $after->hasVariables();
        $given = array_map(static fn (Row $r): Given => new Given($r->text('sitting_id').'|'.$r->int('try'), Response::fromArray($r->json('value')), $r->bool('by_hand'), $each ? $r->text('sitting_id') : ''), $rows);
        $seeds = [];
        foreach ($rows as $row) {
            $seeds[$row->text('sitting_id')] = $row->text('seed');
        }
        $beside = $looksBack ? $this->responsesOf($edition) : [];
        $check = static function (Given $one, bool $new) use ($edition, $entry, $item, $after, $each, $seeds, $beside): Outcome {
            if (!$each) {
                return ($new ? $after->sample() : $item)->check($one->response);
            }
            $seed = $seeds[$one->case] ?? '';
            $own = static fn (string $id): ?OwnItem => $id === $entry && $new ? $after->with($edition->own($id, $seed)->numbers ?? []) : $edition->own($id, $seed);

            return (new Checking($edition->paper(), $own, $beside[$one->case] ?? []))->outcome($entry, $one->response);
        };
        $changes = Remark::changes($given, static fn (Given $g): Outcome => $check($g, false), static fn (Given $g): Outcome => $check($g, true));
        $gains = $loses = [];
        $same = $byHand = $returned = 0;
        $altered = [];
        $worths = [];
        foreach ($changes as $i => $change) {
            $row = $rows[$i];
            // Like responses share their outcomes, so what a change is worth is reckoned once for all of them.
            $worth = $worths[spl_object_id($change->before).'.'.$row->int('try')] ??= $this->worth($edition, $each ? $edition->own($entry, $row->text('seed'))->item ?? $item : $item, $given[$i]->response, $change, $row->int('try'), $step);
            if ($change->keptByHand) {
                ++$byHand;
            } elseif (!$worth['credit']) {
                ++$same;
            } else {
                $effect = new EffectView($row->text('name'), $worth['given'], NumberText::write($worth['before']), NumberText::write($worth['after']));
                if ($worth['after']->isGreaterThan($worth['before'])) {
                    $gains[] = $effect;
                } else {
                    $loses[] = $effect;
                }
                $returned += $row->text('state') === 'returned' ? 1 : 0;
            }
            if ($worth['anything']) {
                $altered[] = ['row' => $row, 'change' => $change, 'delta' => $change->keptByHand || !$worth['credit'] ? null : $worth['after']->minus($worth['before'])];
            }
        }
        if ($apply && $who !== null) {
            $this->store($edition, $entry, $altered, $step, $changeId, $who, $kind);
        }

        return new KeyChangeView($changeId, $after->rule(), $gains, $loses, $same, $byHand, $returned, false);
    }

    /** @return array<string, array<string, array<int, Response>>> every response of an edition, by sitting, entry and try */
    private function responsesOf(Edition $edition): array
    {
        $responses = [];
        foreach ($this->database->rows('SELECT r.sitting_id, r.entry, r.try, r.value FROM response r JOIN sitting s ON s.id = r.sitting_id JOIN handout h ON h.id = s.handout_id WHERE h.edition_id = :edition', ['edition' => $edition->id]) as $row) {
            $responses[$row->text('sitting_id')][$row->text('entry')][$row->int('try')] = Response::fromArray($row->json('value'));
        }

        return $responses;
    }

    /**
     * Stores what a change of rule makes of the responses: three statements, whatever their number.
     *
     * @param list<array{row: Row, change: Change, delta: BigRational|null}> $altered delta: what the marks change by; null leaves them
     */
    private function store(Edition $edition, string $entry, array $altered, BigRational $step, ?string $changeId, StaffUser $who, string $kind): void
    {
        $now = $this->database->now();
        $outcomes = $events = $deltas = [];
        foreach ($altered as ['row' => $row, 'change' => $change, 'delta' => $delta]) {
            $id = $row->text('sitting_id');
            $after = $change->after;
            $outcomes[] = ['s' => $id, 't' => $row->int('try'), 'c' => $after->credit === null ? null : (string) $after->credit, 'v' => $after->verdict->value, 'l' => $after->line, 'r' => mb_substr($after->readAs, 0, 500), 'm' => '{'.implode(',', $after->misconceptions).'}'];
            if ($delta === null) {
                continue;
            }
            $deltas[$id] = isset($deltas[$id]) ? $deltas[$id]->plus($delta) : $delta;
            $events[] = ['i' => $this->database->newId(), 's' => $id, 't' => $row->int('try'), 'b' => $change->before->credit === null ? null : (string) $change->before->credit, 'a' => $after->credit === null ? null : (string) $after->credit];
        }
        $this->database->run('UPDATE response r SET credit = n.c, verdict = n.v, line = n.l, read_as = n.r, misconceptions = n.m::uuid[]
            FROM jsonb_to_recordset(:rows::jsonb) AS n (s uuid, t int, c text, v text, l text, r text, m text) WHERE r.sitting_id = n.s AND r.entry = :entry AND r.try = n.t', ['rows' => Json::encode($outcomes), 'entry' => $entry]);
        $this->database->run('INSERT INTO mark_event (id, sitting_id, entry, try, kind, before_credit, after_credit, key_change_id, staff_id, at)
            SELECT n.i, n.s, :entry, n.t, :kind, n.b, n.a, :change, :staff, :at FROM jsonb_to_recordset(:rows::jsonb) AS n (i uuid, s uuid, t int, b text, a text)', ['rows' => Json::encode($events), 'entry' => $entry, 'kind' => $kind, 'change' => $changeId, 'staff' => $who->id, 'at' => $now]);
        if ($edition->paper()->mastery !== null) {
            // With later tries the best one counts, so the difference of one try is not the difference of the sum.
            $this->recount(array_keys($deltas), $edition, $step);

            return;
        }
        $rows = array_map(static fn (string $id, BigRational $delta): array => ['s' => $id, 'd' => (string) $delta->toScale(6, RoundingMode::HALF_UP)], array_keys($deltas), array_values($deltas));
        $this->database->run('UPDATE sitting s SET marks = s.marks + n.d, version = s.version + 1 FROM jsonb_to_recordset(:rows::jsonb) AS n (s uuid, d numeric) WHERE s.id = n.s', ['rows' => Json::encode($rows)]);
    }

    /** @param list<string> $sittingIds */
    private function recount(array $sittingIds, Edition $edition, BigRational $step): void
    {
        $credits = [];
        foreach ($sittingIds === [] ? [] : $this->database->rows('SELECT sitting_id, entry, try, coalesce(hand_credit, credit) AS credit FROM response WHERE sitting_id::text IN (:ids) AND coalesce(hand_credit, credit) IS NOT NULL', ['ids' => $sittingIds]) as $row) {
            $credits[$row->text('sitting_id')][$row->text('entry')][$row->int('try')] = BigRational::of($row->text('credit'));
        }
        $rows = [];
        foreach ($sittingIds as $id) {
            $sum = BigRational::zero();
            foreach ($credits[$id] ?? [] as $entry => $byTry) {
                $sum = $sum->plus(Marks::of(Walk::bestCredit($edition->paper(), $byTry), $edition->points((string) $entry), $step));
            }
            $rows[] = ['s' => $id, 'm' => (string) $sum->toScale(6, RoundingMode::HALF_UP)];
        }
        $this->database->run('UPDATE sitting s SET marks = n.m, version = s.version + 1 FROM jsonb_to_recordset(:rows::jsonb) AS n (s uuid, m numeric) WHERE s.id = n.s', ['rows' => Json::encode($rows)]);
    }

    /** @return array{credit: bool, anything: bool, before: BigRational, after: BigRational, given: string} what a change alters, and its marks */
    private function worth(Edition $edition, Item $item, Response $response, Change $change, int $try, BigRational $step): array
    {
        return [
            'credit' => $change->altersCredit(),
            'anything' => $change->altersAnything(),
            'before' => $this->marks($edition, $item, $change->before->credit, $try, $step),
            'after' => $this->marks($edition, $item, $change->after->credit, $try, $step),
            'given' => Lookout::given($item, $response),
        ];
    }

    private function marks(Edition $edition, Item $item, ?BigRational $credit, int $try, BigRational $step): BigRational
    {
        return Marks::of(Walk::bestCredit($edition->paper(), [$try => $credit ?? BigRational::zero()]), $item->points, $step);
    }
}
