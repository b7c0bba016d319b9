<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Server\Handout\KeysTold;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/**
 * Whose keys are out.
 *
 * @phpstan-type Met array{handout: string, feedback: string, state: string, closed_since: bool}
 */
final readonly class ToldKeys extends ReadModel implements KeysTold
{
    /** How sittings `s` of handouts `h` stand, for {@see handouts()}. */
    public const MET = "h.id::text AS handout, h.conditions -> 'feedback' AS feedback, s.state, ".SittingTables::CLOSED_SINCE.' AS closed_since';

    /**
     * @param list<Met> $met
     *
     * @return list<string> ids of handouts of which some work has been told the keys
     */
    public static function handouts(array $met): array
    {
        $told = array_filter(
            $met,
            static fn (array $r): bool => FeedbackPlan::fromArray(Json::decode($r['feedback']))->tells(
                Told::Key,
                ToldFrom::reached(SittingState::from($r['state']), $r['closed_since']),
            ),
        );

        return array_values(array_unique(array_column($told, 'handout')));
    }

    public function among(string $teamId, array $itemIds): array
    {
        if ($itemIds === []) {
            return [];
        }
        /** @var list<Met> $met */
        $met = $this->rows('SELECT DISTINCT '.self::MET.' FROM '.PaperTables::ITEMS.' i
            JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = i.edition_id AND h.team_id = :team
            JOIN '.SittingTables::SITTINGS.' s ON s.handout_id = h.id WHERE i.item_id IN (:items)', ['team' => $teamId, 'items' => $itemIds]);
        $told = self::handouts($met);

        return $told === [] ? [] : $this->texts('SELECT DISTINCT i.item_id::text FROM '.HandoutTables::HANDOUTS.' h
            JOIN '.PaperTables::ITEMS.' i ON i.edition_id = h.edition_id WHERE h.id IN (:told) AND i.item_id IN (:items)', [
            'told' => $told,
            'items' => $itemIds,
        ]);
    }
}
