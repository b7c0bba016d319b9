<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

/** What the notes of several types do alike. */
final class Parts
{
    /** @param list<NoteLine> $lines */
    public static function all(array $lines, string $sign): bool
    {
        return array_filter($lines, static fn (NoteLine $l): bool => $l->sign !== $sign) === [];
    }

    /** @return list<string> */
    public static function split(string $by, string $text, int $flags = 0): array
    {
        $parts = preg_split($by, $text, -1, $flags);

        return $parts === false ? [$text] : array_values(array_filter($parts, is_string(...)));
    }

    /** The name of the nth thing of a list: a … z, then aa … */
    public static function id(int $n): string
    {
        return ($n < 26 ? '' : chr(96 + intdiv($n, 26))).chr(97 + $n % 26);
    }

    /**
     * A line for each thing of a list; null as soon as one has none.
     *
     * @param array<array-key, mixed>                          $rule
     * @param \Closure(array<array-key, mixed>): (string|null) $line
     *
     * @return list<string>|null
     */
    public static function each(array $rule, string $list, \Closure $line): ?array
    {
        $lines = [];
        foreach (is_array($rule[$list] ?? null) ? $rule[$list] : [] as $one) {
            $said = is_array($one) ? $line($one) : null;
            if ($said === null) {
                return null;
            }
            $lines[] = $said;
        }

        return $lines;
    }

    /** @param array<array-key, mixed> $of */
    public static function text(array $of, string $key): string
    {
        return is_string($of[$key] ?? null) ? $of[$key] : '';
    }

    /** @return array{credit: string, feedback: string, misconception: string|null} */
    public static function given(NoteLine $line, string $usual = '1'): array
    {
        return ['credit' => $line->credit ?? $usual, 'feedback' => $line->feedback, 'misconception' => $line->idea];
    }

    /**
     * A list with its ids in the order of the alphabet.
     *
     * @param array<array-key, mixed> $rule
     *
     * @return array{array<array-key, mixed>, array<string, string>} the rule, and the new ids by the old ones
     */
    public static function renumbered(array $rule, string $list, string $before = ''): array
    {
        $ids = $things = [];
        foreach (is_array($rule[$list] ?? null) ? array_values($rule[$list]) : [] as $i => $thing) {
            $id = $before.self::id($i);
            if (is_array($thing)) {
                $ids[self::text($thing, 'id')] = $id;
                $thing['id'] = $id;
            }
            $things[] = $thing;
        }

        return [[$list => $things] + $rule, $ids];
    }
}
