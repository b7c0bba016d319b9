<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/**
 * The names by which one student's device knows a question's options and things. The written ids tell their order, and
 * teachers tend to write the key first; these tell nothing and differ from sitting to sitting.
 */
final readonly class Veil
{
    private const LENGTH = 10;

    private function __construct(private ?string $seed, private string $place)
    {
    }

    /** @param string $seed of the sitting, which never leaves the server */
    public static function over(string $seed, string $entry): self
    {
        return new self($seed, $entry);
    }

    /** For teachers, and for sittings that were begun before there were veils: their devices know the written ids. */
    public static function none(): self
    {
        return new self(null, '');
    }

    public function shown(string $id): string
    {
        return $this->seed === null ? $id : substr(hash_hmac('sha256', $this->place.'|'.$id, $this->seed), 0, self::LENGTH);
    }

    /** For a part of the question: the same id in two parts has two names. */
    public function within(string $part): self
    {
        return new self($this->seed, $this->place.'.'.$part);
    }

    /** As the device knows it. */
    public function cover(Rule $rule, Response $response): Response
    {
        return $this->seed === null ? $response : $rule->renamed($response, new Renaming($this, false));
    }

    /** As it is written. A name that nothing of this student has is left out. */
    public function uncover(Rule $rule, Response $response): Response
    {
        return $this->seed === null ? $response : $rule->renamed($response, new Renaming($this, true));
    }
}
