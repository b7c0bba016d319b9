<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Core\Item\OpenRule;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Sitting\SittingStore;

/**
 * Marking an answer once more without seeing the mark of another. What both gave is kept as it was given, so that a mark
 * that is settled later does not look like agreement.
 */
final readonly class SecondMarking
{
    public function __construct(private Database $database, private SittingStore $sittings)
    {
    }

    public function mark(StaffUser $who, SecondMarkInput $input): void
    {
        $this->database->together(function () use ($who, $input): void {
            $sitting = $this->sittings->ofTeam($who->teamId, $input->sittingId, true);
            $rule = $sitting->own($input->entry)?->item->rule;
            if (!$rule instanceof OpenRule) {
                throw Problem::notFound('The open question');
            }
            foreach ($rule->criteria as $i => $criterion) {
                if (!isset($criterion->levels[$input->levels[$i] ?? -1])) {
                    throw Problem::invalid(['levels' => sprintf('Pick a level for "%s".', $criterion->name)]);
                }
            }
            $where = ['id' => $sitting->id, 'entry' => $input->entry, 'try' => $input->try];
            $first = $this->database->row('SELECT hand_by, hand_levels, hand_at FROM response WHERE sitting_id = :id AND entry = :entry AND try = :try', $where) ?? throw Problem::notFound('The answer');
            $by = $first->textOrNull('hand_by');
            $levels = $first->textOrNull('hand_levels');
            $again = $this->database->row('SELECT 1 AS one FROM moderation_mark WHERE sitting_id = :id AND entry = :entry AND try = :try AND staff_id = :who', $where + ['who' => $who->id]) !== null;
            if (!$again && ($by === null || $levels === null || in_array(null, Json::decode($levels), true))) {
                throw Problem::conflict('This answer has no first mark.', 'Mark it on the ordinary desk.');
            }
            if (!$again && $by === $who->id) {
                throw Problem::conflict('You have marked this answer yourself.', 'A second mark has to come from somebody else.');
            }
            if (!$again) {
                $this->database->run('INSERT INTO moderation_mark (sitting_id, entry, try, staff_id, levels, at) VALUES (:id, :entry, :try, :by, :levels, :at) ON CONFLICT DO NOTHING', $where + ['by' => $by, 'levels' => $levels, 'at' => $first->text('hand_at')]);
            }
            $this->database->run('INSERT INTO moderation_mark (sitting_id, entry, try, staff_id, levels, at) VALUES (:id, :entry, :try, :who, :levels, :at) ON CONFLICT (sitting_id, entry, try, staff_id) DO UPDATE SET levels = excluded.levels, at = excluded.at', $where + ['who' => $who->id, 'levels' => Json::encode(array_slice($input->levels, 0, count($rule->criteria))), 'at' => $this->database->now()]);
        });
    }
}
