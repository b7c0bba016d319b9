<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;

/** Missed questions come back until right, at most so many times; each later try earns a smaller share. */
final readonly class MasteryRule
{
    /** @param non-empty-list<BigRational> $credits the share that try 1, 2, … earns; the last holds for all further tries */
    public function __construct(public int $returns, public array $credits)
    {
    }

    public function shareOfTry(int $try): BigRational
    {
        return $this->credits[min($try, count($this->credits)) - 1];
    }

    /** The rule in one sentence, for teacher and student. */
    public function sentence(): string
    {
        $shares = array_map(static fn (BigRational $c): string => (string) $c, $this->credits);

        return sprintf(
            'A missed question comes back until it is right, at most %s; a right answer earns %s of its marks by try.',
            match ($this->returns) {
                1 => 'once', 2 => 'twice', default => $this->returns.' times',
            },
            implode(', ', $shares),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['returns' => $this->returns, 'credits' => array_map(static fn (BigRational $c): string => (string) $c, $this->credits)];
    }
}
