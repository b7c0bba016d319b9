<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Match;

use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\NoteLine;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\NoteText;
use ChalkLadder\Core\Item\Notation\Parts;

/**
 * Pairs: `red -> port`; a place nobody needs: `-> stern`; a thing without a place: `anchor ->`; a wrong pair that tells
 * something: `x red -> starboard # mixes up the sides`.
 */
final class MatchNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '->');
    }

    public function rule(array $lines, Names $names): array
    {
        $key = $told = [];
        $ids = ['t' => [], 'p' => []];
        $known = static function (string $text, string $before) use (&$ids): ?string {
            if ($text !== '') {
                $ids[$before][$text] ??= $before.Parts::id(count($ids[$before]));
            }

            return $ids[$before][$text] ?? null;
        };
        foreach ($lines as $line) {
            [$left, $right] = array_map(trim(...), explode('->', ' '.$line->text.' ', 2)) + ['', ''];
            if ($left === '' && $right === '') {
                throw new NoteFault('An arrow wants a thing before it, a place behind it, or both.', $line->at);
            }
            $thing = $known($left, 't');
            $place = $known($right, 'p');
            if ($thing === null || $place === null) {
                continue;
            }
            if ($line->credit === null) {
                $key[] = [$thing, $place];
            }
            if ($line->credit !== null || $line->feedback !== '' || $line->idea !== null) {
                $told[] = ['thing' => $thing, 'place' => $place] + Parts::given($line, '1');
            }
        }

        return [
            'things' => self::list($ids['t']),
            'places' => self::list($ids['p']),
            'key' => $key,
            'each' => true,
            'copies' => false,
            'lines' => $told,
        ];
    }

    public function lines(array $rule, Names $names): ?array
    {
        $words = [];
        foreach (['things', 'places'] as $list) {
            foreach (is_array($rule[$list] ?? null) ? $rule[$list] : [] as $one) {
                $text = is_array($one) ? NoteText::lines(Parts::text($one, 'text')) : [];
                if (count($text) !== 1 || !is_array($one) || str_contains($text[0], '->')) {
                    return null;
                }
                $words[$list][Parts::text($one, 'id')] = $text[0];
            }
        }
        $used = $lines = [];
        $pairs = static fn (mixed $list): array => is_array($list) ? array_filter($list, is_array(...)) : [];
        $said = [];
        foreach ($pairs($rule['key'] ?? null) as $pair) {
            $said[] = [$pair[0] ?? '', $pair[1] ?? '', '', []];
        }
        foreach ($pairs($rule['lines'] ?? null) as $line) {
            $credit = $line['credit'] ?? '0';
            $mark = is_string($credit) ? (['0' => 'x ', '1' => 'v '][$credit] ?? $credit.' ') : '';
            $said[] = [$line['thing'] ?? '', $line['place'] ?? '', $mark, $line];
        }
        foreach ($said as [$thing, $place, $mark, $line]) {
            $tail = NoteLine::tail($line, $names);
            if (!is_string($thing) || !is_string($place) || !isset($words['things'][$thing], $words['places'][$place]) || $tail === null) {
                return null;
            }
            $lines[] = $mark.NoteLine::escaped($words['things'][$thing].' -> '.$words['places'][$place]).$tail;
            $used += [$thing => true, $place => true];
        }
        foreach (['things' => '%s ->', 'places' => '-> %s'] as $list => $form) {
            foreach (array_diff_key($words[$list] ?? [], $used) as $text) {
                $lines[] = sprintf($form, NoteLine::escaped($text));
            }
        }

        return $lines;
    }

    public function renamed(array $rule): array
    {
        // In the order in which the lines name them: a list of its own order would be lost, and is left as it is.
        [$rule, $things] = Parts::renumbered($rule, 'things', 't');
        [$rule, $places] = Parts::renumbered($rule, 'places', 'p');
        $of = static fn (array $ids, mixed $id): mixed => is_string($id) ? $ids[$id] ?? $id : $id;
        if (is_array($rule['key'] ?? null)) {
            $rule['key'] = array_map(
                static fn (mixed $pair): mixed => is_array($pair)
                    ? [$of($things, $pair[0] ?? null), $of($places, $pair[1] ?? null)]
                    : $pair,
                $rule['key'],
            );
        }
        if (is_array($rule['lines'] ?? null)) {
            $rule['lines'] = array_map(static fn (mixed $line): mixed => is_array($line) ? [
                'thing' => $of($things, $line['thing'] ?? null),
                'place' => $of($places, $line['place'] ?? null),
            ] + $line : $line, $rule['lines']);
        }

        return $rule;
    }

    /**
     * @param array<array-key, string> $ids by text
     *
     * @return list<array{id: string, text: string}>
     */
    private static function list(array $ids): array
    {
        $list = [];
        foreach ($ids as $text => $id) {
            $list[] = ['id' => $id, 'text' => NoteText::html([(string) $text])];
        }

        return $list;
    }
}
