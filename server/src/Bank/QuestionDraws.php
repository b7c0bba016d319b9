<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Draws;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\SeenDraw;
use ChalkLadder\Server\Bank\Api\View\DrawsView;
use ChalkLadder\Server\Bank\Api\View\DrawView;

/** Shows what the variables of a question, as it stands in the editor, come to. */
final class QuestionDraws
{
    /** @param array<array-key, mixed> $item */
    public function show(array $item): DrawsView
    {
        $template = ItemTemplate::read($item);
        $draws = Draws::of($template);

        return new DrawsView(
            $draws->combinations,
            $draws->looked,
            $template->hasVariables() ? array_map(trim(...), $template->formulas()) : [],
            array_map(static fn (SeenDraw $d): DrawView => new DrawView(
                array_map(Evaluator::words(...), $d->numbers),
                array_combine(array_map(trim(...), array_keys($d->values)), array_map(NumberText::write(...), $d->values)),
                $d->faults,
            ), $draws->seen),
        );
    }
}
