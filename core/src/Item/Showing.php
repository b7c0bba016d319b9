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
     */
    public function __construct(private Veil $veil, private string $seed, private string $place, private bool $shuffle)
    {
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

    public function within(string $part): self
    {
        return new self($this->veil->within($part), $this->seed, $this->place.'.'.$part, $this->shuffle);
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
