<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Server\Handout\Api\View\KeptPlanView;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class KeptPlanList extends ReadModel
{
    /** @return list<KeptPlanView> by name */
    public function of(string $teamId): array
    {
        /** @var list<array{id: string, name: string, tells: string}> $rows */
        $rows = $this->rows('SELECT id, name, tells FROM feedback_plan WHERE team_id = :team ORDER BY lower(name)', ['team' => $teamId]);

        return array_map(
            static fn (array $r): KeptPlanView => new KeptPlanView(
                $r['id'],
                $r['name'],
                FeedbackPlan::fromArray(Json::decode($r['tells']))->toArray(),
            ),
            $rows,
        );
    }

    /** Until the act ends, nobody else keeps one for this team. */
    public function hold(string $teamId): void
    {
        $this->holdName("feedback plans $teamId");
    }
}
