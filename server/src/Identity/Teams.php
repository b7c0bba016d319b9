<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Brick\Math\BigRational;
use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Server\Identity\Api\Input\RungInput;
use ChalkLadder\Server\Identity\Api\Input\TeamInput;
use ChalkLadder\Server\Identity\Entity\Team;
use ChalkLadder\Server\Identity\Repository\TeamRepository;
use ChalkLadder\Server\Platform\Http\Problem;
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

    public function searchLanguage(string $teamId): SearchLanguage
    {
        return $this->teams->get($teamId)->searchLanguage();
    }

    /** @return list<string> origins of the pages that may show the team's work within themselves */
    public function framedBy(string $teamId): array
    {
        return $this->teams->get($teamId)->framedBy();
    }

    /** The smallest mark. */
    public function markStep(string $teamId): BigRational
    {
        return $this->teams->get($teamId)->markStep();
    }

    /** A step of marks holds from now on; marks that stand are brought in line when their answers are marked or their key changes. */
    public function set(StaffUser $who, TeamInput $input): void
    {
        $this->transaction->run(function () use ($who, $input): void {
            $team = $this->teams->get($who->teamId);
            if ($input->markStep !== null) {
                $team->setMarkStep(BigRational::of($input->markStep), $who->id);
            }
            if ($input->searchLanguage !== null) {
                $team->setSearchLanguage(SearchLanguage::from($input->searchLanguage), $who->id);
            }
            if ($input->rungs !== null) {
                $team->setRungs(self::rungsOf($input->rungs), $who->id);
            }
            if ($input->framedBy !== null) {
                $team->setFramedBy(self::originsOf($input->framedBy), $who->id);
            }
        });
    }

    /**
     * @param list<string> $addresses
     *
     * @return list<string>
     */
    private static function originsOf(array $addresses): array
    {
        try {
            return array_values(array_unique(array_map(Origin::of(...), $addresses)));
        } catch (\DomainException $fault) {
            throw Problem::invalid(['framedBy' => $fault->getMessage()]);
        }
    }

    /** @param list<RungInput> $rungs */
    private static function rungsOf(array $rungs): Rungs
    {
        try {
            return Rungs::named(array_map(static fn (RungInput $r): array => ['name' => $r->name, 'from' => $r->from], $rungs));
        } catch (\DomainException $fault) {
            throw Problem::invalid(['rungs' => $fault->getMessage()]);
        }
    }
}
