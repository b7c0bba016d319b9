<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Order;

use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteLine;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\NoteText;
use ChalkLadder\Core\Item\Notation\Parts;

/** Things in their order: `1. high water`, `2. ebb`. */
final class OrderNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '.');
    }

    public function rule(array $lines, Names $names): array
    {
        return [
            'things' => array_map(
                static fn (NoteLine $l, int $i): array => ['id' => Parts::id($i), 'text' => NoteText::html([$l->text])],
                $lines,
                array_keys($lines),
            ),
            'mode' => 'exact',
            'lines' => [],
        ];
    }

    public function lines(array $rule, Names $names): ?array
    {
        $place = 0;

        return Parts::each($rule, 'things', static function (array $thing) use (&$place): ?string {
            $text = NoteText::lines(Parts::text($thing, 'text'));
            ++$place;

            return count($text) === 1 ? $place.'. '.NoteLine::escaped($text[0]) : null;
        });
    }

    public function renamed(array $rule): array
    {
        [$rule, $ids] = Parts::renumbered($rule, 'things');
        foreach (is_array($rule['lines'] ?? null) ? $rule['lines'] : [] as $i => $line) {
            if (is_array($line) && is_array($line['order'] ?? null) && is_array($rule['lines'])) {
                $line['order'] = array_map(static fn (mixed $id): mixed => is_string($id) ? $ids[$id] ?? $id : $id, $line['order']);
                $rule['lines'][$i] = $line;
            }
        }

        return $rule;
    }
}
