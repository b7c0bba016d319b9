<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Brick\Math\BigRational;
use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Server\Identity\Entity\Team;
use ChalkLadder\Server\Identity\Repository\TeamRepository;
use ChalkLadder\Server\Platform\Storage\Transaction;

/** Teams, and their own settings. */
final readonly class Teams
{
    public function __construct(private TeamRepository $teams, private Transaction $transaction)
    {
    }

    /** @return string the new team's id */
    public function found(string $name, Style $numbers = Style::Point): string
    {
        return $this->transaction->run(function () use ($name, $numbers): string {
            $team = new Team($name, $numbers);
            $this->teams->add($team);

            return $team->id();
        });
    }

    public function name(string $teamId): string
    {
        return $this->teams->get($teamId)->name();
    }

    public function rungs(string $teamId): Rungs
    {
        return $this->teams->get($teamId)->rungs();
    }

    public function numberStyle(string $teamId): Style
    {
        return $this->teams->get($teamId)->numberStyle();
    }

    /** The smallest mark. */
    public function markStep(string $teamId): BigRational
    {
        return $this->teams->get($teamId)->markStep();
    }

    /** Holds for marks from now on; those that stand are brought in line when their answers are marked or their key changes. */
    public function setMarkStep(StaffUser $who, BigRational $step): void
    {
        $this->transaction->run(fn () => $this->teams->get($who->teamId)->setMarkStep($step, $who->id));
    }
}
