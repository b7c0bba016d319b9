<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Form;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Target;
use ChalkLadder\Core\Item\TextRule;
use ChalkLadder\Server\Marking\Api\View\KeyChangeLineView;
use ChalkLadder\Server\Marking\ReadModel\MarkHistory;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Paper\ReadModel\KeyChangeLine;
use ChalkLadder\Server\Sitting\Words;

/** What became of a question's key: who changed it, when, from what to what, and whom it moved. */
final readonly class History
{
    public function __construct(private Editions $editions, private MarkHistory $marks)
    {
    }

    /** @return list<KeyChangeLineView> the latest first */
    public function keys(PublishedPaper $edition, string $entry): array
    {
        $template = $edition->template($entry);
        $changes = $template === null ? [] : $this->editions->keyChanges($edition->id, $entry);
        $effects = $this->marks->effects(array_map(static fn (KeyChangeLine $c): string => $c->id, $changes));

        return $template === null ? [] : array_map(
            static fn (KeyChangeLine $c): KeyChangeLineView => self::line($c, $template, $effects[$c->id] ?? ['gains' => 0, 'loses' => 0]),
            $changes,
        );
    }

    /** @param array{gains: int, loses: int} $effect */
    private static function line(KeyChangeLine $change, ItemTemplate $template, array $effect): KeyChangeLineView
    {
        $before = $template->withRule($change->before)->sample();
        $after = $template->withRule($change->after)->sample();

        return new KeyChangeLineView(
            $change->id,
            $change->maker,
            $change->madeAt,
            Words::key($before),
            Words::key($after),
            implode(', ', array_diff(self::lines($after->rule), self::lines($before->rule))),
            $change->reason,
            $effect['gains'],
            $effect['loses'],
            $change->undoneAt,
            $change->undoer,
            $change->undoable,
        );
    }

    /** @return list<string> what a rule accepts and for what credit, line by line */
    private static function lines(Rule $rule): array
    {
        return match (true) {
            $rule instanceof TextRule => array_map(
                static fn (Form $f): string => "“{$f->text}” for credit {$f->credit->simplified()}",
                $rule->forms,
            ),
            $rule instanceof NumberRule => array_map(
                static fn (Target $t): string => rtrim(NumberText::write($t->value).' '.$rule->unit).' for credit '
                    .$t->credit->simplified(),
                $rule->targets,
            ),
            default => [],
        };
    }
}
