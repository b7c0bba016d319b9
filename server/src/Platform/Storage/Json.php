<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

final class Json
{
    public static function encode(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @return array<array-key, mixed> */
    public static function decode(string $json): array
    {
        $value = json_decode($json, true, 64, JSON_THROW_ON_ERROR);

        return is_array($value) ? $value : throw new \LogicException('A stored document is not an object or list.');
    }

    /** @return list<string> the strings of a stored list */
    public static function texts(string $json): array
    {
        return array_values(array_filter(self::decode($json), is_string(...)));
    }

    /** @return array<string, string> the strings of a stored object */
    public static function named(string $json): array
    {
        $named = [];
        foreach (self::decode($json) as $name => $value) {
            if (is_string($value)) {
                $named[(string) $name] = $value;
            }
        }

        return $named;
    }

    /** @return list<int|null> the whole numbers of a stored list; null where one is not known */
    public static function numbers(string $json): array
    {
        return array_values(array_map(static fn (mixed $n): ?int => is_int($n) ? $n : null, self::decode($json)));
    }
}
