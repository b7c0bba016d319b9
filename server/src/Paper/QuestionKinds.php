<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Paper\Drawing;
use ChalkLadder\Core\Paper\Entry;
use ChalkLadder\Core\Paper\Paper as Draft;
use ChalkLadder\Server\Bank\QuestionRecords;

/**
 * Of what kind the questions are among which a paper draws: their skill, or how many were right so far. A published paper keeps what was
 * known of them when it was published, so that it draws the same ever after.
 */
final readonly class QuestionKinds
{
    private const UNKNOWN = 'none';

    public function __construct(private QuestionRecords $records)
    {
    }

    /** @param array<string, ItemTemplate> $items by bank id */
    public function in(Draft $paper, array $items): Draft
    {
        $byDifficulty = [];
        foreach ($paper->sections as $section) {
            if ($section->drawing?->by === Drawing::BY_DIFFICULTY) {
                array_push($byDifficulty, ...array_map(static fn (Entry $e): string => $e->item ?? '', $section->drawable()));
            }
        }
        $records = $byDifficulty === [] ? [] : $this->records->of(array_values(array_unique($byDifficulty)));

        return $paper->knowingKinds(static fn (Entry $e, Drawing $drawing): string => $drawing->by === Drawing::BY_SKILL
            ? ($items[$e->item ?? ''] ?? null)?->sample()->skill ?? self::UNKNOWN
            : ($records[$e->item ?? ''] ?? null)?->band() ?? self::UNKNOWN);
    }
}
