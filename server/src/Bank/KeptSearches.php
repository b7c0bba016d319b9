<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Api\Input\KeptSearchInput;
use ChalkLadder\Server\Bank\Api\View\KeptSearchesView;
use ChalkLadder\Server\Bank\Entity\KeptSearch;
use ChalkLadder\Server\Bank\ReadModel\KeptSearchList;
use ChalkLadder\Server\Bank\Repository\KeptSearchRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;

/** Searches that one looks up again and again, each person their own. */
final readonly class KeptSearches
{
    private const MOST = 30;

    public function __construct(
        private KeptSearchRepository $searches,
        private KeptSearchList $list,
        private Transaction $transaction,
    ) {
    }

    public function of(StaffUser $who): KeptSearchesView
    {
        return new KeptSearchesView($this->list->of($who->teamId, $who->id));
    }

    /** One of the same name is looked for anew. */
    public function keep(StaffUser $who, KeptSearchInput $input): KeptSearchesView
    {
        $this->transaction->run(function () use ($who, $input): void {
            $this->list->hold($who->id);
            $name = trim($input->name);
            $before = $this->searches->named($who->teamId, $who->id, $name);
            if ($before !== null) {
                $before->lookFor($input->query);
            } elseif (count($this->list->of($who->teamId, $who->id)) >= self::MOST) {
                throw Problem::invalid(['name' => sprintf('You keep %d searches already. Drop one first.', self::MOST)]);
            } else {
                $this->searches->add(new KeptSearch($who->teamId, $who->id, $name, $input->query));
            }
        });

        return $this->of($who);
    }

    public function drop(StaffUser $who, string $id): KeptSearchesView
    {
        $this->transaction->run(function () use ($who, $id): void {
            $search = $this->searches->findLocked($who->teamId, $id);
            $this->searches->remove($search?->isOf($who->id) === true ? $search : throw Problem::notFound('The search'));
        });

        return $this->of($who);
    }
}
