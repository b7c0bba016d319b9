<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemTemplate;

/** Whether a paper has places enough for what its mastery rule asks. */
final class MasteryProof
{
    /**
     * @param array<string, ItemTemplate> $items
     *
     * @return list<Defect> skills that cannot be shown here, whatever is answered
     */
    public static function defects(Paper $paper, array $items): array
    {
        $rule = $paper->mastery;
        if ($rule === null) {
            return [];
        }
        $possible = $first = [];
        $drawn = false;
        foreach ($paper->sections as $section) {
            foreach (PaperProof::machineMarked($section, $items) as $entry) {
                $item = $items[$entry->item ?? ''];
                $drawn = $drawn || $item->hasVariables();
                $skill = $item->sample()->skill;
                if ($skill !== null) {
                    // A question that comes back with the same numbers is right once.
                    $times = $rule->otherNumbers && $item->hasVariables() ? 1 + $rule->returns : 1;
                    $possible[$skill] = ($possible[$skill] ?? 0) + $times;
                    $first[$skill] ??= $entry->id;
                }
            }
        }
        $defects = $rule->otherNumbers && !$drawn
            ? [Defect::advice('No question here has numbers of its own, so missed questions come back as they are.')]
            : [];
        $needed = $rule->shown?->more([]) ?? 0;
        foreach ($possible as $skill => $most) {
            if ($most < $needed) {
                $defects[] = Defect::advice(sprintf(
                    'The skill of this question can never count as shown: it takes %d right answers, and there are places for %d.',
                    $needed,
                    $most,
                ), $first[$skill]);
            }
        }

        return $defects;
    }
}
