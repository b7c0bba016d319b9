<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Paper\Blueprint;
use ChalkLadder\Server\Bank\QuestionRecords;
use ChalkLadder\Server\Paper\Api\View\BlueprintRowView;
use ChalkLadder\Server\Paper\Api\View\BlueprintView;

/** Counts a draft skill by skill; difficulty and time come from the bank's records where there are any. */
final readonly class Blueprints
{
    public function __construct(private Papers $papers, private QuestionRecords $records)
    {
    }

    public function of(string $teamId, string $id): BlueprintView
    {
        $draft = $this->papers->draft($teamId, $id);
        $records = $this->records->of(array_values(array_unique(array_values($draft->itemIds))));
        $questions = [];
        foreach ($draft->items() as $entry => $item) {
            $record = $records[$draft->itemIds[$entry]] ?? null;
            $questions[$entry] = [
                'skill' => $item->skill,
                'facility' => $record?->facility,
                'seconds' => $record->seconds ?? $item->type()->definition()->seconds(),
            ];
        }
        $found = Blueprint::of($draft->paper(), $questions);

        return new BlueprintView(array_map(BlueprintRowView::of(...), $found->rows), BlueprintRowView::of($found->whole));
    }
}
