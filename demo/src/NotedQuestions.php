<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteReader;

/**
 * The questions of demo/questions.txt, as bank.yaml would hold them: skills and misconceptions by their slugs, and with each the
 * answers that simulated students give, right and wrong, as its key tells them.
 */
final class NotedQuestions
{
    /**
     * @param array<string, string> $skills names by slug
     * @param array<string, string> $ideas  names by slug
     *
     * @return array<string, array<array-key, mixed>> by a slug made of their titles
     */
    public static function read(string $text, array $skills, array $ideas): array
    {
        $questions = [];
        foreach (NoteReader::read($text, new Names($skills, $ideas)) as $noted) {
            if ($noted->document === null) {
                throw new \UnexpectedValueException(sprintf('demo/questions.txt:%d: %s', $noted->at, ($noted->faults[0] ?? null)?->getMessage()));
            }
            $slug = trim((string) preg_replace('/[^a-z0-9]+/', '-', mb_strtolower(Scenario::text($noted->document['title'] ?? ''))), '-');
            $rule = Scenario::map($noted->document['rule'] ?? []);
            $questions[$slug] = $noted->document + [
                'gives' => isset($noted->document['variables']) ? [] : self::gives($rule),
                // No two questions are equally hard; which is which is made up, and the same each time.
                'difficulty' => (crc32($slug) % 160 - 90) / 100,
            ];
        }

        return $questions;
    }

    /**
     * @param array<array-key, mixed> $rule
     *
     * @return list<array{array<string, mixed>, string|null}> the right answer first; a wrong one with the idea it follows from
     */
    private static function gives(array $rule): array
    {
        $list = static fn (string $member): array => array_map(Scenario::map(...), array_values(Scenario::map($rule[$member] ?? [])));
        $idea = static fn (array $line): ?string => is_string($line['misconception'] ?? null) ? $line['misconception'] : null;
        $unit = Scenario::text($rule['unit'] ?? '');
        $ids = array_map(static fn (array $t): string => Scenario::text($t['id'] ?? ''), $list('things'));
        $made = match (true) {
            isset($rule['options']) => array_map(
                static fn (array $o): array => [['options' => [Scenario::text($o['id'] ?? '')]], $idea($o), ($o['key'] ?? false) === true],
                $list('options'),
            ),
            isset($rule['targets']) => array_map(
                static fn (array $t): array => [['text' => trim(self::number($t).' '.$unit)], $idea($t), ($t['credit'] ?? '') === '1'],
                $list('targets'),
            ),
            isset($rule['forms']) => array_map(
                static fn (array $f): array => [['text' => Scenario::text($f['text'] ?? '')], $idea($f), ($f['credit'] ?? '') === '1'],
                $list('forms'),
            ),
            isset($rule['names']) => array_map(
                static fn (array $l): array => [['text' => Scenario::text($l['expression'] ?? '')], $idea($l), ($l['credit'] ?? '') === '1'],
                $list('lines'),
            ),
            isset($rule['places']) => [
                [['pairs' => $rule['key'] ?? []], null, true],
                ...array_map(
                    static fn (array $l): array => [['pairs' => self::turned(Scenario::map($rule['key'] ?? []), $l)], $idea($l), false],
                    $list('lines'),
                ),
                [['pairs' => array_slice(Scenario::map($rule['key'] ?? []), 1)], null, false],
            ],
            $ids !== [] => [
                [['order' => $ids], null, true],
                [['order' => [$ids[1] ?? '', $ids[0], ...array_slice($ids, 2)]], null, false],
                [['order' => array_reverse($ids)], null, false],
            ],
            isset($rule['gaps']), isset($rule['cells']) => self::fields($rule),
            isset($rule['criteria']) => [
                [['text' => 'Sun and moon pull in one line at new moon and at full moon, and the soft rock wears away faster.'], null, true],
                [['text' => 'The moon pulls the water, and the sea wears the rock away.'], null, false],
                [['text' => 'Because of the sea.'], null, false],
            ],
            default => [[['text' => 'How low the water was.'], null, true], [['text' => 'The smell.'], null, false]],
        };
        usort($made, static fn (array $a, array $b): int => $b[2] <=> $a[2]);

        return array_map(static fn (array $one): array => [$one[0], $one[1]], $made);
    }

    /** @param array<array-key, mixed> $target */
    private static function number(array $target): string
    {
        $value = Scenario::text($target['value'] ?? '0');

        return str_starts_with($value, '=') ? '0' : NumberText::write(BigRational::of($value));
    }

    /**
     * The right pairs but for one.
     *
     * @param array<array-key, mixed> $key
     * @param array<array-key, mixed> $line
     *
     * @return list<mixed>
     */
    private static function turned(array $key, array $line): array
    {
        return array_values(array_map(static fn (mixed $pair): mixed => is_array($pair) && ($pair[0] ?? null) === ($line['thing'] ?? '')
            ? [$line['thing'] ?? '', $line['place'] ?? '']
            : $pair, $key));
    }

    /**
     * All fields right; then each idea wherever it can be given; then the last left empty.
     *
     * @param array<array-key, mixed> $rule of gaps or of a table
     *
     * @return list<array{array<string, mixed>, string|null, bool}>
     */
    private static function fields(array $rule): array
    {
        $fields = array_map(Scenario::map(...), array_values(Scenario::map($rule['gaps'] ?? $rule['cells'] ?? [])));
        $answers = array_map(static fn (array $f): array => self::gives(Scenario::map($f['rule'] ?? [])), $fields);
        $ideas = array_unique(array_filter(array_column(array_merge(...$answers), 1), is_string(...)));
        $pick = static fn (?string $idea): array => array_map(static function (array $known) use ($idea): string {
            foreach ($known as $one) {
                if ($idea !== null && $one[1] === $idea) {
                    return Scenario::text($one[0]['text'] ?? '');
                }
            }

            return Scenario::text($known[0][0]['text'] ?? '');
        }, $answers);
        $right = $pick(null);
        $made = [[self::filled($rule, $fields, $right), null, true]];
        foreach ($ideas as $idea) {
            $made[] = [self::filled($rule, $fields, $pick($idea)), $idea, false];
        }

        return [...$made, [self::filled($rule, $fields, [...array_slice($right, 0, -1), '']), null, false]];
    }

    /**
     * @param array<array-key, mixed>       $rule
     * @param list<array<array-key, mixed>> $fields
     * @param list<string>                  $texts
     *
     * @return array<string, mixed>
     */
    private static function filled(array $rule, array $fields, array $texts): array
    {
        if (isset($rule['gaps'])) {
            return ['gaps' => array_combine(array_map(static fn (array $f): string => Scenario::text($f['id'] ?? ''), $fields), $texts)];
        }
        $rows = is_int($rule['rows'] ?? null) ? $rule['rows'] : 1;
        $cells = array_fill(0, $rows, array_fill(0, is_int($rule['columns'] ?? null) ? $rule['columns'] : 1, ''));
        foreach ($fields as $i => $field) {
            $cells[(is_int($field['row'] ?? null) ? $field['row'] : 1) - 1][(is_int($field['column'] ?? null) ? $field['column'] : 1) - 1] = $texts[$i];
        }

        return ['cells' => $cells];
    }
}
