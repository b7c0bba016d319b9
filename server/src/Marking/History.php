<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Form;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Target;
use ChalkLadder\Core\Item\TextRule;
use ChalkLadder\Server\Paper\Edition;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Sitting\Picture;

/** What became of marks and keys: who changed them, when, from what to what. */
final readonly class History
{
    public function __construct(private Database $database)
    {
    }

    /** @return array<string, list<MarkEventView>> the changes of the marks of one question of a handout, the latest first, by `sitting|try` */
    public function marks(string $handoutId, string $entry): array
    {
        $events = [];
        foreach ($this->database->rows('SELECT e.sitting_id, e.try, e.kind, e.before_credit, e.after_credit, e.comment, st.name, e.at FROM mark_event e JOIN sitting s ON s.id = e.sitting_id JOIN staff st ON st.id = e.staff_id WHERE s.handout_id = :handout AND e.entry = :entry ORDER BY e.at DESC, e.id DESC', ['handout' => $handoutId, 'entry' => $entry]) as $row) {
            $events[$row->text('sitting_id').'|'.$row->int('try')][] = new MarkEventView($row->text('kind'), $row->textOrNull('before_credit'), $row->textOrNull('after_credit'), $row->text('comment'), $row->text('name'), $row->time('at'));
        }

        return $events;
    }

    /** @return list<KeyChangeLineView> the changes of a question's key, the latest first */
    public function keys(Edition $edition, string $entry): array
    {
        $template = $edition->template($entry);
        if ($template === null) {
            return [];
        }
        $rows = $this->database->rows("SELECT k.id, k.rule_before, k.rule_after, k.reason, k.made_at, m.name AS maker, k.undone_at, u.name AS undoer,
                k.undone_at IS NULL AND NOT EXISTS (SELECT 1 FROM key_change l WHERE l.edition_id = k.edition_id AND l.entry = k.entry AND l.undone_at IS NULL AND l.made_at > k.made_at) AS undoable,
                (SELECT count(*) FROM mark_event e WHERE e.key_change_id = k.id AND e.kind = 'key change' AND coalesce(credit_number(e.after_credit), 0) > coalesce(credit_number(e.before_credit), 0)) AS gains,
                (SELECT count(*) FROM mark_event e WHERE e.key_change_id = k.id AND e.kind = 'key change' AND coalesce(credit_number(e.after_credit), 0) < coalesce(credit_number(e.before_credit), 0)) AS loses
            FROM key_change k JOIN staff m ON m.id = k.made_by LEFT JOIN staff u ON u.id = k.undone_by WHERE k.edition_id = :edition AND k.entry = :entry ORDER BY k.made_at DESC, k.id DESC LIMIT 50", ['edition' => $edition->id, 'entry' => $entry]);

        return array_map(static fn (Row $r): KeyChangeLineView => self::line($r, $template->withRule($r->json('rule_before'))->sample(), $template->withRule($r->json('rule_after'))->sample()), $rows);
    }

    private static function line(Row $r, Item $before, Item $after): KeyChangeLineView
    {
        return new KeyChangeLineView(
            $r->text('id'),
            $r->text('maker'),
            $r->time('made_at'),
            Picture::key($before),
            Picture::key($after),
            implode(', ', array_diff(self::lines($after->rule), self::lines($before->rule))),
            $r->text('reason'),
            $r->int('gains'),
            $r->int('loses'),
            $r->timeOrNull('undone_at'),
            $r->textOrNull('undoer'),
            $r->bool('undoable'),
        );
    }

    /** @return list<string> what a rule accepts and for what credit, line by line */
    private static function lines(Rule $rule): array
    {
        return match (true) {
            $rule instanceof TextRule => array_map(static fn (Form $f): string => "“{$f->text}” for credit {$f->credit->simplified()}", $rule->forms),
            $rule instanceof NumberRule => array_map(static fn (Target $t): string => rtrim(NumberText::write($t->value).' '.$rule->unit).' for credit '.$t->credit->simplified(), $rule->targets),
            default => [],
        };
    }
}
