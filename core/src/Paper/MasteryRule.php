<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/**
 * What comes back until a student has shown enough. Without `shown` every missed question comes back until it is right; with it, until
 * its skill counts as shown. Each later try earns a smaller share.
 */
final readonly class MasteryRule
{
    public const MOST_RETURNS = 5;
    public const MOST_GAP = 20;

    /**
     * @param int                         $returns      how often a question may come back
     * @param non-empty-list<BigRational> $credits      the share that try 1, 2, … earns; the last holds for all further tries
     * @param SkillMastery|null           $shown        when a skill counts as shown
     * @param bool                        $otherNumbers questions with numbers of their own come back with others; while their skill is
     *                                                  not shown, right ones come back too
     * @param int                         $gap          how many other questions lie at least between, where there are so many
     */
    public function __construct(
        public int $returns,
        public array $credits,
        public ?SkillMastery $shown = null,
        public bool $otherNumbers = false,
        public int $gap = 0,
    ) {
    }

    public function shareOfTry(int $try): BigRational
    {
        return $this->credits[min($try, count($this->credits)) - 1];
    }

    /** The rule in a sentence or two, for teacher and student. */
    public function sentence(): string
    {
        $what = $this->otherNumbers ? 'a missed question comes back with other numbers' : 'a missed question comes back';
        $parts = [
            $this->shown === null ? ucfirst($what).' until it is right' : sprintf('A skill counts as shown %s. Until then %s', $this->shown->asked(), $what),
            ...($this->gap === 0 ? [] : [sprintf('after at least %d other%s', $this->gap, $this->gap === 1 ? '' : 's')]),
            sprintf('at most %s', match ($this->returns) {
                1 => 'once', 2 => 'twice', default => $this->returns.' times',
            }),
        ];

        return sprintf('%s; a right answer earns %s of its marks by try.', implode(', ', $parts), implode(', ', $this->shares()));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['returns' => $this->returns, 'credits' => $this->shares()]
            + ($this->shown === null ? [] : ['shown' => $this->shown->toArray()])
            + ($this->otherNumbers ? ['otherNumbers' => true] : [])
            + ($this->gap === 0 ? [] : ['gap' => $this->gap]);
    }

    /** @return list<string> */
    private function shares(): array
    {
        return array_map(static fn (BigRational $c): string => (string) $c, $this->credits);
    }
}
