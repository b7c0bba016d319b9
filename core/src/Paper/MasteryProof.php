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
            $times = [];
            foreach (PaperProof::machineMarked($section, $items) as $entry) {
                $item = $items[$entry->item ?? ''];
                $drawn = $drawn || $item->hasVariables();
                $skill = $item->sample()->skill;
                if ($skill !== null) {
                    // A question that comes back with the same numbers is right once.
                    $times[$skill][$entry->id] = $rule->otherNumbers && $item->hasVariables() ? 1 + $rule->returns : 1;
                    $first[$skill] ??= $entry->id;
                }
            }
            foreach ($times as $skill => $of) {
                $possible[$skill] = ($possible[$skill] ?? 0) + self::sure($section, $of);
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

    /**
     * How often every student is sure to be right about questions, if they always are.
     *
     * @param array<string, int> $times how often one can be right, by entry
     */
    private static function sure(Section $section, array $times): int
    {
        $drawable = array_column($section->drawable(), 'id');
        $drawn = array_intersect_key($times, array_flip($drawable));
        sort($drawn);
        $sure = $section->drawing?->least(array_keys(array_intersect_key($times, array_flip($drawable))), $drawable) ?? 0;

        return array_sum(array_diff_key($times, array_flip($drawable))) + array_sum(array_slice($drawn, 0, $sure));
    }
}
