<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Text;

use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteLine;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\Parts;

/** Accepted words: `= ebb`, `1/2 = ebb tide`, `x = flood # mixes up ebb and flood`. */
final class TextNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '=');
    }

    public function rule(array $lines, Names $names): array
    {
        return [
            'forms' => array_map(static fn (NoteLine $l): array => ['text' => $l->text] + Parts::given($l), $lines),
            'folding' => ['case' => true, 'accents' => false, 'punctuation' => true, 'articles' => false],
            'allowSlips' => false,
        ];
    }

    public function lines(array $rule, Names $names): ?array
    {
        return Parts::each($rule, 'forms', static fn (array $f): ?string => isset($f['blanks']) ? null : NoteLine::write(
            $f,
            '=',
            Parts::text($f, 'text'),
            $names,
        ));
    }

    public function renamed(array $rule): array
    {
        return $rule;
    }
}
