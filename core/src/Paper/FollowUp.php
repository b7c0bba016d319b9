<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use ChalkLadder\Core\Document\Node;

/** What a student is handed next, once this paper is marked and told: by the rung reached, or by a wrong idea that was shown. */
final readonly class FollowUp
{
    /** So many rungs may be named; a team that has fewer never reaches the others. */
    public const MOST_RUNGS = 9;

    /**
     * @param int|null    $rung          1 for the lowest; null where a misconception decides
     * @param string|null $misconception id
     * @param string      $paper         id of the paper that follows
     */
    private function __construct(public ?int $rung, public ?string $misconception, public string $paper)
    {
    }

    /** From JSON: {"rung": 1, "paper": id} or {"misconception": id, "paper": id}. */
    public static function read(Node $node): self
    {
        $rung = $node->intOrNull('rung', 1, self::MOST_RUNGS);
        $misconception = $node->textOrNull('misconception', 36);
        if (($rung === null) === ($misconception === null)) {
            $node->fault('', 'Say either a rung or a misconception.');
        }
        $followUp = new self($rung, $misconception, $node->text('paper', 36));
        $node->rejectUnknown();

        return $followUp;
    }

    /**
     * @param int          $rung           that the work reached
     * @param list<string> $misconceptions ids of those that it showed
     */
    public function isFor(int $rung, array $misconceptions): bool
    {
        return $this->rung === $rung || ($this->misconception !== null && in_array($this->misconception, $misconceptions, true));
    }

    /** @return array<string, int|string> as {@see read()} takes it */
    public function toArray(): array
    {
        return ($this->rung === null ? ['misconception' => (string) $this->misconception] : ['rung' => $this->rung]) + ['paper' => $this->paper];
    }
}
