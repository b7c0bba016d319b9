<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Server\Marking\Api\View\KeyChangeLineView;
use ChalkLadder\Server\Marking\ReadModel\MarkHistory;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Paper\ReadModel\KeyChangeLine;

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
            $before->rule->key(),
            $after->rule->key(),
            implode(', ', array_diff($after->rule->accepted(), $before->rule->accepted())),
            $change->reason,
            $effect['gains'],
            $effect['loses'],
            $change->undoneAt,
            $change->undoer,
            $change->undoable,
        );
    }
}
