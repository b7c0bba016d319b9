<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\ItemTemplate;

/**
 * Reads questions from notes, as a teacher types or pastes them (docs/formats/notes.md): parted by blank lines, the prompt first,
 * the key below it. A question that cannot be read is told with its line; the others are read all the same.
 */
final class NoteReader
{
    public const LONGEST = 200_000;
    /** How marks are written. */
    public const POINTS = '\d{1,3}(?:[.,/]\d{1,4})?';
    public const MARKS = '~^'.self::POINTS.'$~D';
    private const MOST = 200;
    private const LINE = 20_000;

    /** Members of a question in lines of their own, by what such a line begins with. */
    private const HEADS = '/^(?:(title|skill|because|decimals|with|document|as)\b:?|(hint)(?:\s+(\d{1,3}\/\d{1,3}|1))?:|(go back to)\b|(let)\b|(where)\b|(when)\b|(ask how sure|ask for working)$|(said to all)$)\s*(.*)$/uDs';

    /** @return list<NotedQuestion> in their order */
    public static function read(string $text, Names $names): array
    {
        if (strlen($text) > self::LONGEST) {
            return [new NotedQuestion(1, null, [new NoteFault('This is longer than 200 000 letters. Read it in parts.', 1)])];
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            return [new NotedQuestion(1, null, [new NoteFault('This is not UTF-8 text. Save it as UTF-8 and paste it again.', 1)])];
        }
        $read = [];
        $block = [];
        $lines = Parts::split('/\r\n|\r|\n/', $text);
        $lines[] = '';
        foreach ($lines as $i => $line) {
            if (trim($line) !== '') {
                $block[$i + 1] = rtrim($line);
                continue;
            }
            if ($block !== []) {
                $read[] = count($read) < self::MOST
                    ? self::question($block, $names)
                    : new NotedQuestion((int) array_key_first($block), null, [new NoteFault('At most 200 questions at once. Read the rest afterwards.', (int) array_key_first($block))]);
                if (count($read) > self::MOST) {
                    break;
                }
            }
            $block = [];
        }

        return $read;
    }

    /** @param non-empty-array<int, string> $block lines by their number */
    private static function question(array $block, Names $names): NotedQuestion
    {
        $first = array_key_first($block);
        try {
            $document = self::document($block, $names);
        } catch (NoteFault $e) {
            return new NotedQuestion($first, null, [$e->at > 0 ? $e : new NoteFault($e->getMessage(), $first)]);
        }
        try {
            return new NotedQuestion($first, ItemTemplate::read($document)->toArray(), []);
        } catch (DocumentInvalid $e) {
            return new NotedQuestion($first, null, array_map(
                static fn ($p): NoteFault => new NoteFault($p->path === '' ? $p->message : $p->path.': '.$p->message, $first),
                $e->problems,
            ));
        }
    }

    /**
     * @param non-empty-array<int, string> $block
     *
     * @return array<string, mixed>
     *
     * @throws NoteFault
     */
    private static function document(array $block, Names $names): array
    {
        $head = new NotedHead($names);
        $prompt = $key = [];
        foreach ($block as $at => $line) {
            if (strlen($line) > self::LINE) {
                throw new NoteFault('This line is longer than 20 000 letters.', $at);
            }
            $literal = str_starts_with($line, '\\');
            if (!$literal && preg_match(self::HEADS, $line, $m) === 1 && $head->take(array_values(array_filter(
                array_slice($m, 1, -1),
                static fn (string $s): bool => $s !== '',
            )), trim($m[count($m) - 1]), $at, $line)) {
                continue;
            }
            // What stands first is asked, whatever it looks like.
            $note = $prompt === [] || $literal ? null : NoteLine::read(trim($line), $at, $names);
            if ($note !== null) {
                $key[] = $note;
            } elseif ($key === []) {
                $prompt[] = $literal ? substr($line, 1) : $line;
            } else {
                throw new NoteFault(
                    'This is no line of a key. Begin it with v, x, =, ==, >, |, 1. or mark for, or part it from the question above by a blank line.',
                    $at,
                );
            }
        }

        return $head->whole($prompt, $key);
    }
}
