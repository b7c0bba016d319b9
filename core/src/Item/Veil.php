<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/**
 * The names by which one student's device knows a question's options. The written ids tell their order, and teachers tend
 * to write the key first; these tell nothing and differ from sitting to sitting.
 */
final readonly class Veil
{
    private const LENGTH = 10;

    /** @param array<string, string>|null $shown name on the device by written id; null where ids are shown as written */
    private function __construct(private ?array $shown)
    {
    }

    /** @param string $seed of the sitting, which never leaves the server */
    public static function over(Rule $rule, string $seed, string $entry): self
    {
        $shown = [];
        foreach ($rule instanceof ChoiceRule ? $rule->options : [] as $option) {
            $shown[$option->id] = substr(hash_hmac('sha256', $entry.'|'.$option->id, $seed), 0, self::LENGTH);
        }

        return new self($shown);
    }

    /** For sittings that were begun before there were veils: their devices know the written ids. */
    public static function none(): self
    {
        return new self(null);
    }

    public function shown(string $id): string
    {
        return $this->shown === null ? $id : $this->shown[$id] ?? '';
    }

    /** As the device knows it. */
    public function cover(Response $response): Response
    {
        return $this->shown === null || $response->options === []
            ? $response
            : Response::ofOptions(...array_map($this->shown(...), $response->options));
    }

    /** As it is written. A name that no option of this student has is left out. */
    public function uncover(Response $response): Response
    {
        return $this->shown === null || $response->options === [] ? $response : Response::ofOptions(...array_map(
            strval(...),
            array_keys(array_intersect($this->shown, $response->options)),
        ));
    }
}
