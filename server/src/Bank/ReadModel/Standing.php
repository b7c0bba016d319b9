<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

/** By what questions are narrowed besides their own members: their words, and what other rooms know of them. */
final readonly class Standing
{
    /**
     * @param array<string, float> $facilities mean credit so far, by question; those nobody has sat are absent
     * @param list<string>         $used       questions that stand in a published paper
     * @param list<string>|null    $fitting    questions that the words fit, the best first; null where none are looked for
     */
    public function __construct(public array $facilities, public array $used, public ?array $fitting = null)
    {
    }

    public function band(string $id): Band
    {
        return Band::of($this->facilities[$id] ?? null);
    }

    /** @return list<string> those that were sat and lie in this band */
    public function within(Band $band): array
    {
        return array_keys(array_filter($this->facilities, static fn (float $f): bool => Band::of($f) === $band));
    }
}
