<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

use ChalkLadder\Core\Sitting\FeedbackPlan;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Server\Handout\Api\Input\KeptPlanInput;
use ChalkLadder\Server\Handout\Api\Input\PlanInUseInput;
use ChalkLadder\Server\Handout\Api\View\KeptPlansView;
use ChalkLadder\Server\Handout\Api\View\PlanSaidView;
use ChalkLadder\Server\Handout\Entity\KeptPlan;
use ChalkLadder\Server\Handout\ReadModel\KeptPlanList;
use ChalkLadder\Server\Handout\Repository\KeptPlanRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;

/** Feedback plans that the team keeps under names of its own, and what is to be said of one before it is used. */
final readonly class FeedbackPlans
{
    private const MOST = 40;

    public function __construct(
        private KeptPlanRepository $plans,
        private KeptPlanList $list,
        private Editions $editions,
        private KeysTold $keys,
        private Transaction $transaction,
    ) {
    }

    public function of(string $teamId): KeptPlansView
    {
        return new KeptPlansView($this->list->of($teamId));
    }

    public function keep(StaffUser $who, KeptPlanInput $input): KeptPlansView
    {
        $tells = FeedbackPlan::fromArray($input->tells, 'tells');
        $this->transaction->run(function () use ($who, $input, $tells): void {
            $this->list->hold($who->teamId);
            $name = trim($input->name);
            $kept = $this->list->of($who->teamId);
            foreach ($kept as $plan) {
                if (mb_strtolower($plan->name) === mb_strtolower($name)) {
                    throw Problem::invalid(['name' => sprintf('The team has a plan called “%s” already.', $plan->name)]);
                }
            }
            if (count($kept) >= self::MOST) {
                throw Problem::invalid(['name' => sprintf('The team keeps %d plans already. Drop one first.', self::MOST)]);
            }
            $this->plans->add(new KeptPlan($who->teamId, $name, $tells));
        });

        return $this->of($who->teamId);
    }

    public function drop(StaffUser $who, string $id): KeptPlansView
    {
        $this->transaction->run(function () use ($who, $id): void {
            $this->plans->remove($this->plans->findLocked($who->teamId, $id) ?? throw Problem::notFound('The plan'));
        });

        return $this->of($who->teamId);
    }

    public function read(StaffUser $who, PlanInUseInput $input): PlanSaidView
    {
        $plan = FeedbackPlan::fromArray($input->tells, 'tells');
        $edition = $input->editionId === null ? null : $this->editions->ofTeam($who->teamId, $input->editionId);

        return new PlanSaidView(
            [
                ...$plan->concerns(($edition?->paper()->mastery->returns ?? 0) > 0, $input->attempts, $input->closes),
                ...($edition === null ? [] : $this->keysOut($who->teamId, $edition)),
            ],
            $plan->comes(ToldFrom::HandedIn),
            $plan->comes(ToldFrom::Closed),
        );
    }

    /** @return list<string> a sentence, where keys of the paper are out */
    private function keysOut(string $teamId, PublishedPaper $edition): array
    {
        $out = array_intersect($edition->itemIds, $this->keys->among($teamId, array_values(array_unique($edition->itemIds))));
        $numbers = array_values(array_intersect_key($edition->numbers(), $out));
        sort($numbers);
        $last = array_pop($numbers);

        return match (true) {
            $last === null => [],
            $numbers === [] => ["Question $last has been given back with its key before."],
            default => [sprintf('Questions %s and %d have been given back with their keys before.', implode(', ', $numbers), $last)],
        };
    }
}
