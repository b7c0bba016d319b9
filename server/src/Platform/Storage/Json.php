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
}
