<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** How a question is put before one student: names that tell nothing, and orders of their own. */
final readonly class Showing
{
    /**
     * @param string $seed    of the sitting
     * @param string $place   the question's entry
     * @param bool   $shuffle options stand in an order of the student's own
     * @param int    $fewer   wrong options that are left out where one is to be picked
     */
    public function __construct(
        private Veil $veil,
        private string $seed,
        private string $place,
        private bool $shuffle,
        private int $fewer = 0,
    ) {
    }

    /**
     * Without some of the wrong ones, drawn for this student: the right ones stay, and never less than one wrong beside them.
     *
     * @template T
     *
     * @param list<T>            $things
     * @param \Closure(T): bool $isKey
     *
     * @return list<T> in the same order
     */
    public function thinned(array $things, \Closure $isKey): array
    {
        $wrong = array_keys(array_filter($things, static fn (mixed $t): bool => !$isKey($t)));
        $out = array_slice(Draw::order($wrong, $this->seed, 'fewer.'.$this->place), 0, max(0, min($this->fewer, count($wrong) - 1)));

        return array_values(array_diff_key($things, array_flip($out)));
    }

    public function name(string $id): string
    {
        return $this->veil->shown($id);
    }

    /**
     * In an order of the student's own where the conditions ask for it.
     *
     * @template T
     *
     * @param list<T> $things
     * @param string  $what   what they are: a question may have several lists
     *
     * @return list<T>
     */
    public function arranged(array $things, string $what): array
    {
        return $this->shuffle ? $this->mixed($things, $what) : $things;
    }

    /**
     * In an order of the student's own always: for what the written order would tell the key of.
     *
     * @template T
     *
     * @param list<T> $things
     *
     * @return list<T>
     */
    public function mixed(array $things, string $what): array
    {
        return Draw::order($things, $this->seed, $what.'.'.$this->place);
    }

    /** All options, in the order in which they are written. */
    public function asWritten(): self
    {
        return new self($this->veil, $this->seed, $this->place, false);
    }

    public function within(string $part): self
    {
        return new self($this->veil->within($part), $this->seed, $this->place.'.'.$part, $this->shuffle, $this->fewer);
    }

    /**
     * @param list<Thing> $things
     *
     * @return list<array{id: string, text: string}>
     */
    public function things(array $things, string $what): array
    {
        return array_map(fn (Thing $t): array => ['id' => $this->name($t->id), 'text' => $t->text], $this->mixed($things, $what));
    }
}
