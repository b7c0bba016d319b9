<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Server\Bank\TermsElsewhere;
use ChalkLadder\Server\Paper\ReadModel\PaperList;
use ChalkLadder\Server\Paper\Repository\PaperRepository;
use Symfony\Component\Clock\ClockInterface;

/** Skills and misconceptions that drafts name, in mastery, plans and follow-ups. */
final readonly class TermsInDrafts implements TermsElsewhere
{
    public function __construct(private PaperRepository $papers, private PaperList $list, private ClockInterface $clock)
    {
    }

    public function call(string $teamId, string $by, string $term, string $other, ?array $only = null): array
    {
        $alone = [];
        foreach ($this->list->naming($teamId, $term) as $id) {
            $paper = $only === null || in_array($id, $only, true) ? $this->papers->findLocked($teamId, $id) : null;
            if ($paper === null) {
                continue;
            }
            $before = $paper->content();
            if (!str_contains((string) json_encode($before->toArray(), \JSON_THROW_ON_ERROR), $other)) {
                $alone[] = $id;
            }
            $paper->save($before->calling($term, $other), $by, $this->clock->now());
        }

        return $alone;
    }
}
