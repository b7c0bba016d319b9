<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Choice;

use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteLine;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\NoteText;
use ChalkLadder\Core\Item\Notation\Parts;

/** Options, each with a tick, a cross or a share: `v 3.9 m`, `x 3.6 m ! Count twelfths.`, `1/2 nearly`. */
final class ChoiceNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '');
    }

    public function rule(array $lines, Names $names): array
    {
        $options = [];
        foreach ($lines as $i => $line) {
            $share = in_array($line->credit, ['0', '1', null], true) ? [] : ['credit' => $line->credit];
            $options[] = [
                'id' => Parts::id($i),
                'text' => NoteText::html([$line->text]),
                'key' => $line->credit === '1',
                'feedback' => $line->feedback,
                'misconception' => $line->idea,
            ] + $share;
        }

        return [
            'options' => $options,
            'several' => count(array_filter($options, static fn (array $o): bool => $o['key'])) > 1,
            'perOption' => false,
            'keepLast' => false,
        ];
    }

    public function lines(array $rule, Names $names): ?array
    {
        return Parts::each($rule, 'options', static function (array $option) use ($names): ?string {
            $text = NoteText::lines(Parts::text($option, 'text'));
            $credit = ($option['key'] ?? false) === true ? '1' : $option['credit'] ?? '0';

            return count($text) !== 1 ? null : NoteLine::write(['credit' => $credit] + $option, '', $text[0], $names, '');
        });
    }

    public function renamed(array $rule): array
    {
        return Parts::renumbered($rule, 'options')[0];
    }
}
