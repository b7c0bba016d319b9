<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use ChalkLadder\Core\Item\Inputs;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Paper\Paper;

/**
 * Checks the responses of one sitting: each question with the student's own numbers, and with the earlier responses of
 * its section where its checks ask for them. `q2.answer` and `q2.text` are what was answered to the section's second
 * question, at its latest try; a question that has no answer has no value, so the check does not hold.
 */
final readonly class Checking
{
    /**
     * @param \Closure(string, int): (OwnItem|null)   $own   the student's question, by entry id and try
     * @param array<string, array<int, Response>>    $given by entry id and try
     */
    public function __construct(private Paper $paper, private \Closure $own, private array $given)
    {
    }

    public function outcome(string $entry, Response $response, int $try): Outcome
    {
        $own = ($this->own)($entry, $try);

        return $own?->check($response, $own->item->looksBackTo() === [] ? [] : $this->before($entry)) ?? Outcome::nothing();
    }

    /** @return array<string, array<string, mixed>> inputs by name: q1, q2 … */
    private function before(string $entry): array
    {
        $names = [];
        foreach ($this->paper->sections as $section) {
            $questions = array_map(static fn ($e): string => $e->id, $section->questions());
            $place = array_search($entry, $questions, true);
            if ($place === false) {
                continue;
            }
            foreach (array_slice($questions, 0, (int) $place) as $i => $id) {
                $tries = $this->given[$id] ?? [];
                ksort($tries);
                $latest = end($tries);
                $own = $latest === false || $latest->isBlank() ? null : ($this->own)($id, (int) array_key_last($tries));
                if ($own !== null && $latest !== false) {
                    $names['q'.($i + 1)] = $own->item->rule->inputs($latest);
                }
            }
        }

        return $names;
    }
}
