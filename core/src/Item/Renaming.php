<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** From written ids to the names on a device, or back. */
final readonly class Renaming
{
    public function __construct(private Veil $veil, private bool $back)
    {
    }

    /**
     * @param list<string> $ids as written; what is none of them has no other name
     */
    public function of(string $name, array $ids): ?string
    {
        foreach ($ids as $id) {
            if (($this->back ? $this->veil->shown($id) : $id) === $name) {
                return $this->back ? $id : $this->veil->shown($id);
            }
        }

        return null;
    }

    /**
     * @param list<string> $names
     * @param list<string> $ids   as written
     *
     * @return list<string>
     */
    public function all(array $names, array $ids): array
    {
        return array_values(array_filter(array_map(fn (string $n): ?string => $this->of($n, $ids), $names), is_string(...)));
    }

    public function within(string $part): self
    {
        return new self($this->veil->within($part), $this->back);
    }
}
