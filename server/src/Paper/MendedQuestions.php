<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Item\ItemTemplate;

/** What becomes of answers when one edition of a paper takes the place of another. Questions are known by their entries. */
final class MendedQuestions
{
    /** In these an answer is to something else than what it was given to. */
    private const ASK = ['wording', 'answers', 'numbers'];

    /** @var array<string, bool> whether a question asks something else, by entry */
    private array $changed = [];

    /** @var array<string, string> why answers cannot stay with their question, by entry */
    private array $refusals = [];

    private int $aside = 0;

    public function __construct(private readonly PublishedPaper $then, private readonly PublishedPaper $now)
    {
    }

    /**
     * Looks at one sitting's answers.
     *
     * @param list<array{entry: string, try: int}> $answered
     *
     * @return list<string> the entries among them that ask something else by now
     */
    public function carry(string $seed, array $answered): array
    {
        $changed = [];
        foreach ($answered as ['entry' => $entry, 'try' => $try]) {
            [$before, $after] = [$this->then->template($entry), $this->now->template($entry)];
            if ($after === null) {
                ++$this->aside;
            } elseif ($before !== null && $this->isChanged($entry, $before, $after)) {
                $changed[$entry] = $entry;
                $why = $this->whyNot($entry, $seed, $try, $before, $after);
                if ($why !== null) {
                    $this->refusals[$entry] ??= sprintf('%s %s', $this->name($entry), $why);
                }
            }
        }

        return array_values($changed);
    }

    /** Whether a question asks in one of them what it asks in the other. */
    public function asksTheSame(string $entry): bool
    {
        [$before, $after] = [$this->then->template($entry), $this->now->template($entry)];

        return $before !== null && $after !== null && !$this->isChanged($entry, $before, $after);
    }

    /** @return list<string> why this edition cannot take the place of the other, for the answers that were looked at */
    public function refusals(): array
    {
        return array_values($this->refusals);
    }

    /** How many of these answers are to questions that are gone. */
    public function aside(): int
    {
        return $this->aside;
    }

    private function isChanged(string $entry, ItemTemplate $before, ItemTemplate $after): bool
    {
        return $this->changed[$entry] ??= array_intersect(self::ASK, ChangedParts::between($before, $after)) !== []
            || $before->type() !== $after->type();
    }

    private function whyNot(string $entry, string $seed, int $try, ItemTemplate $before, ItemTemplate $after): ?string
    {
        $isOther = ($this->then->itemIds[$entry] ?? '') !== ($this->now->itemIds[$entry] ?? '') && $before->rule() !== $after->rule();
        if ($before->type() !== $after->type() || $isOther) {
            return 'stands where another question stood that has been answered, so those answers would seem to be answers to it. Put it in '
                .'beside the old one, and take that out.';
        }
        $had = $this->then->own($entry, $seed, $try);
        if ($before->hasVariables() !== $after->hasVariables() || $had?->numbers !== $this->now->own($entry, $seed, $try)?->numbers) {
            return 'would have other numbers for students who have answered it. Take it out and put it in anew.';
        }

        return null;
    }

    private function name(string $entry): string
    {
        return sprintf('Question %d, “%s”,', $this->now->numbers()[$entry] ?? 0, $this->now->title($entry));
    }
}
