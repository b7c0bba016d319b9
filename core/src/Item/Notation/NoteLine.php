<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

/**
 * One line of a key as it is noted: a tick, a cross or a share in front, a sign of how it is answered, what is answered, and behind
 * it words to the student (` ! …`) and a misconception (` # …`). See docs/formats/notes.md for the grammar.
 */
final readonly class NoteLine
{
    public const TICK = 'v';
    public const CROSS = 'x';
    /** Letters that would part a text are written with a backslash before them. */
    private const PARTS = '/(?<!\\\\)\s([!#])\s/u';

    /**
     * @param string|null $credit as a share; null where the line says nothing of it
     * @param string      $sign   '' for an option, else =, ==, >, ., ->, |, : or criterion
     * @param string|null $idea   a misconception's id
     */
    private function __construct(
        public int $at,
        public ?string $credit,
        public string $sign,
        public string $text,
        public string $feedback,
        public ?string $idea,
    ) {
    }

    /**
     * @return self|null null where it is no line of a key
     *
     * @throws NoteFault
     */
    public static function read(string $line, int $at, Names $names): ?self
    {
        $credit = null;
        $rest = $line;
        if (preg_match('~^(v|x|\d{1,3}/[1-9]\d{0,2})\s+(?=\S)(.*)$~uD', $line, $m) === 1) {
            $credit = ['v' => '1', 'x' => '0'][$m[1]] ?? $m[1];
            $rest = $m[2];
        }
        [$sign, $rest] = self::sign($rest, $credit !== null) ?? [null, ''];
        if ($sign === null) {
            return null;
        }
        // A passage and a table have such signs within their brackets.
        if ($sign === '>' || $sign === '|') {
            return new self($at, $credit, $sign, $rest, '', null);
        }
        [$text, $feedback, $idea] = self::parts($rest, $at, $names);

        return new self($at, $credit, $sign, $text, $feedback, $idea);
    }

    /** A line of a key, read from within brackets. */
    public static function within(string $text, int $at, Names $names): self
    {
        return self::read($text, $at, $names) ?? self::plain($text, $at, $names);
    }

    /** @param array<array-key, mixed> $line a line of a rule: credit, feedback, misconception */
    public static function write(array $line, string $sign, string $text, Names $names, string $usual = '1'): ?string
    {
        $credit = is_string($line['credit'] ?? null) ? $line['credit'] : $usual;
        $mark = $credit === $usual ? '' : (['1' => 'v ', '0' => 'x '][$credit] ?? $credit.' ');
        $tail = self::tail($line, $names);

        return $tail === null ? null : rtrim($mark.($sign === '' ? '' : $sign.' ').self::escaped($text).$tail);
    }

    /** @param array<array-key, mixed> $line */
    public static function tail(array $line, Names $names): ?string
    {
        $feedback = is_string($line['feedback'] ?? null) ? $line['feedback'] : '';
        $id = is_string($line['misconception'] ?? null) ? $line['misconception'] : null;
        $idea = $id === null ? '' : Names::nameOf($names->misconceptions, $id);
        if ($idea === null || str_contains($feedback, "\n")) {
            return null;
        }

        return ($feedback === '' ? '' : ' ! '.self::escaped($feedback)).($idea === '' ? '' : ' # '.self::escaped($idea));
    }

    public static function escaped(string $text): string
    {
        return (string) preg_replace('/(?<=\s)([!#])(?=\s)/u', '\\\\$1', $text);
    }

    private static function plain(string $text, int $at, Names $names): self
    {
        [$said, $feedback, $idea] = self::parts($text, $at, $names);

        return new self($at, null, '', $said, $feedback, $idea);
    }

    /** @return array{string, string}|null */
    private static function sign(string $rest, bool $marked): ?array
    {
        return match (true) {
            preg_match('/^(==|=)\s+(\S.*)$/uD', $rest, $m) === 1 => [$m[1], $m[2]],
            !$marked && preg_match('/^>\s?(.*)$/uD', $rest, $m) === 1 => ['>', $m[1]],
            !$marked && preg_match('/^\|(.*)\|$/uD', $rest, $m) === 1 => ['|', $m[1]],
            !$marked && preg_match('/^\d{1,2}\.\s+(\S.*)$/uD', $rest, $m) === 1 => ['.', $m[1]],
            !$marked && preg_match('/^mark for\s+(\S.*)$/uD', $rest, $m) === 1 => ['criterion', $m[1]],
            !$marked && preg_match('~^(\d{1,3}(?:[./]\d{1,3})?):\s+(\S.*)$~uD', $rest, $m) === 1 => [':', $m[1].' '.$m[2]],
            preg_match('/^(?:\S.*\s)?->(?:\s+\S.*)?$/uD', $rest) === 1 => ['->', $rest],
            $marked => ['', $rest],
            default => null,
        };
    }

    /**
     * @return array{string, string, string|null}
     *
     * @throws NoteFault
     */
    private static function parts(string $rest, int $at, Names $names): array
    {
        $parts = Parts::split(self::PARTS, ' '.$rest.' ', PREG_SPLIT_DELIM_CAPTURE);
        $text = self::plainly((string) array_shift($parts));
        $feedback = '';
        $idea = null;
        while ($parts !== []) {
            $sign = array_shift($parts);
            $said = self::plainly((string) array_shift($parts));
            if ($sign === '!') {
                $feedback = $said;
            } else {
                $idea = $names->misconception($said, $at);
            }
        }

        return [$text, $feedback, $idea];
    }

    private static function plainly(string $text): string
    {
        return trim((string) preg_replace('/(?<=\s)\\\\([!#])(?=\s)/u', '$1', $text));
    }
}
