<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Server\Bank\NamesElsewhere;
use ChalkLadder\Server\Paper\ReadModel\PaperList;
use ChalkLadder\Server\Paper\Repository\PaperRepository;
use Symfony\Component\Clock\ClockInterface;

/** What drafts name: questions, and skills and misconceptions in plans and follow-ups. */
final readonly class NamesInDrafts implements NamesElsewhere
{
    public function __construct(private PaperRepository $papers, private PaperList $list, private ClockInterface $clock)
    {
    }

    public function call(string $teamId, string $by, string $one, string $other, ?array $only = null): array
    {
        $named = ['alone' => [], 'mixed' => []];
        foreach ($this->list->naming($teamId, $one) as $id) {
            $paper = $only === null || in_array($id, $only, true) ? $this->papers->findLocked($teamId, $id) : null;
            if ($paper === null) {
                continue;
            }
            $before = $paper->content();
            $named[str_contains(json_encode($before->toArray(), \JSON_THROW_ON_ERROR), $other) ? 'mixed' : 'alone'][] = $id;
            $paper->save($before->calling($one, $other), $by, $this->clock->now());
        }

        return $named;
    }
}
