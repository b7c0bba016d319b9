<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\ItemType;

/**
 * Writes a question as notes of which {@see NoteReader} makes the same again, its inner ids apart. What no line says is written as
 * the member that it is; where even that would not come back the same, the whole document is written.
 */
final class NoteWriter
{
    /** @param array<string, mixed> $document as {@see ItemTemplate::toArray()} gives it */
    public static function write(array $document, Names $names): string
    {
        $wanted = self::renamed($document);
        foreach ([self::lines($wanted, $names), ['document: '.self::json($wanted)]] as $lines) {
            $text = $lines === null ? '' : implode("\n", $lines)."\n";
            $read = $lines === null ? [] : NoteReader::read($text, $names);
            if (count($read) === 1 && self::sorted($read[0]->document ?? []) === self::sorted($wanted)) {
                return $text;
            }
        }

        return 'document: '.self::json($document)."\n";
    }

    /**
     * The question with its inner ids as notes would give them; where a check speaks of them they stay.
     *
     * @param array<string, mixed> $document
     *
     * @return array<string, mixed>
     */
    public static function renamed(array $document): array
    {
        $notes = ItemType::tryFrom(Parts::text($document, 'type'))?->definition()->notes();
        $rule = $document['rule'] ?? null;

        return $notes === null || !is_array($rule) || isset($document['checks']) ? $document : ['rule' => $notes->renamed($rule)] + $document;
    }

    /**
     * @param array<string, mixed> $document
     *
     * @return list<string>|null
     */
    private static function lines(array $document, Names $names): ?array
    {
        $type = ItemType::tryFrom(Parts::text($document, 'type'));
        $rule = is_array($document['rule'] ?? null) ? $document['rule'] : [];
        $prompt = NoteText::lines(Parts::text($document, 'prompt'));
        $head = self::head($document, $names, $prompt);
        if ($type === null || $head === null) {
            return null;
        }
        $points = Parts::text($document, 'points');
        $last = count($prompt) - 1;
        foreach ($prompt as $i => $line) {
            $prompt[$i] = self::guarded($line, $i === 0).($i === $last && ($points !== '1' || str_ends_with($line, ']')) ? " [$points]" : '');
        }
        if ($prompt === []) {
            $prompt = ["[$points]"];
        }
        $notes = $type->definition()->notes();
        $key = $notes?->lines($rule, $names) ?? [];
        try {
            $read = [];
            foreach ($key as $line) {
                $read[] = NoteLine::read($line, 1, $names) ?? throw new NoteFault('');
            }
            $back = $read === [] ? [] : ($notes?->rule($read, $names) ?? []);
        } catch (NoteFault) {
            [$key, $read, $back] = [[], [], []];
        }
        $as = NotedHead::typeOf($read) === $type ? [] : ['as '.$type->value];
        $with = [];
        foreach ($rule as $member => $value) {
            if (!array_key_exists($member, $back) || self::sorted($back[$member]) !== self::sorted($value)) {
                $with[] = $value === true ? "with $member" : "with $member = ".self::json($value);
            }
        }

        return [...$head, ...$prompt, ...$as, ...$key, ...$with];
    }

    /**
     * @param array<string, mixed> $document
     * @param list<string>         $prompt
     *
     * @return list<string>|null
     */
    private static function head(array $document, Names $names, array $prompt): ?array
    {
        $lines = [];
        $title = Parts::text($document, 'title');
        if ($title !== NotedHead::titleOf($prompt)) {
            $lines[] = 'title: '.$title;
        }
        if (isset($document['skill']) && is_string($document['skill'])) {
            $lines[] = 'skill: '.(Names::nameOf($names->skills, $document['skill']) ?? "({$document['skill']})");
        }
        foreach (self::list($document, 'variables') as $v) {
            $name = Parts::text($v, 'name');
            if (is_array($v['rows'] ?? null) && is_array($v['columns'] ?? null)) {
                $table = self::table($v['columns'], $v['rows']);
                if ($table === null) {
                    return null;
                }
                $lines[] = "let $name$table";

                continue;
            }
            $lines[] = "let $name = ".match (true) {
                isset($v['is']) => Parts::text($v, 'is'),
                is_array($v['choices'] ?? null) => implode(', ', array_filter($v['choices'], is_string(...))),
                default => Parts::text($v, 'from').' to '.Parts::text($v, 'to').(isset($v['step']) ? ' step '.Parts::text($v, 'step') : ''),
            };
        }
        foreach (is_array($document['constraints'] ?? null) ? $document['constraints'] : [] as $one) {
            $lines[] = 'where '.(is_string($one) ? $one : '');
        }
        if (isset($document['decimals']) && is_int($document['decimals'])) {
            $lines[] = 'decimals: '.$document['decimals'];
        }
        if (($document['confidence'] ?? false) === true) {
            $lines[] = 'ask how sure';
        }
        if (($document['working'] ?? false) === true) {
            $lines[] = 'ask for working';
        }
        $hints = Parts::text($document, 'hint') === '' ? [] : [['text' => Parts::text($document, 'hint'), 'cost' => '0']];
        foreach ([...$hints, ...self::list($document, 'hints')] as $hint) {
            $text = NoteText::lines(Parts::text($hint, 'text'));
            $cost = Parts::text($hint, 'cost');
            if (count($text) !== 1) {
                return null;
            }
            $lines[] = ($cost === '0' ? 'hint: ' : "hint $cost: ").$text[0];
        }
        if (Parts::text($document, 'explanation') !== '') {
            $lines[] = 'because: '.self::inALine(Parts::text($document, 'explanation'));
        }
        if (is_array($document['goBack'] ?? null)) {
            $lines[] = 'go back to '.Parts::text($document['goBack'], 'title').': '.self::inALine(Parts::text($document['goBack'], 'text'));
        }
        foreach (self::list($document, 'checks') as $check) {
            $tail = NoteLine::tail($check, $names);
            $credit = Parts::text($check, 'credit');
            if ($tail === null) {
                return null;
            }
            $lines[] = 'when '.Parts::text($check, 'when').' then '.(['0' => 'x', '1' => 'v'][$credit] ?? $credit).$tail;
        }

        return $lines;
    }

    /** Rich text of several lines is written as the HTML that it is. */
    private static function inALine(string $html): string
    {
        $lines = NoteText::lines($html);

        return count($lines) > 1 ? $html : $lines[0] ?? '';
    }

    /** A line of the prompt that would be read as something else says so with a backslash. */
    private static function guarded(string $line, bool $first): string
    {
        $plain = preg_match('/^[<\p{Lu}\d“‘"(]/u', $line) === 1 && ($first || preg_match('/^\d/', $line) !== 1);

        return $plain ? $line : '\\'.$line;
    }

    /**
     * @param array<string, mixed> $document
     *
     * @return list<array<array-key, mixed>>
     */
    private static function list(array $document, string $member): array
    {
        return array_values(array_filter(is_array($document[$member] ?? null) ? $document[$member] : [], is_array(...)));
    }

    /**
     * `(ship, draught) = Brindle, 2.4; Lapwing, 1.8`; null where a value holds a sign that parts others.
     *
     * @param array<array-key, mixed> $columns
     * @param array<array-key, mixed> $rows
     */
    private static function table(array $columns, array $rows): ?string
    {
        $lines = [];
        foreach ([$columns, ...$rows] as $row) {
            $cells = is_array($row) ? array_filter($row, is_string(...)) : [];
            foreach ($cells as $cell) {
                if ($cell === '' || trim($cell) !== $cell || preg_match('/[,;()]/', $cell) === 1) {
                    return null;
                }
            }
            $lines[] = implode(', ', $cells);
        }

        return sprintf('(%s) = %s', array_shift($lines), implode('; ', $lines));
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private static function sorted(mixed $value): mixed
    {
        if (!is_array($value)) {
            return $value;
        }
        if (!array_is_list($value)) {
            ksort($value);
        }

        return array_map(self::sorted(...), $value);
    }
}
