<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Server\Bank\RemarkOn;
use ChalkLadder\Server\Bank\TalkedOf;
use ChalkLadder\Server\Paper\Repository\PaperRepository;

final readonly class PapersTalkedOf implements TalkedOf
{
    public function __construct(private PaperRepository $papers)
    {
    }

    public function isAbout(): RemarkOn
    {
        return RemarkOn::Paper;
    }

    public function has(string $teamId, string $id): bool
    {
        return $this->papers->find($teamId, $id) !== null;
    }

    public function hold(string $teamId, string $id): bool
    {
        return $this->papers->findLocked($teamId, $id) !== null;
    }
}
