<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Expression;

use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\NoteLine;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\Parts;

/** Equal as expressions: `== (x + 1)^2`, `x == x^2 + 1 # squares each term`. The letters in them are its names. */
final class ExpressionNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '==');
    }

    public function rule(array $lines, Names $names): array
    {
        $letters = [];
        foreach ($lines as $line) {
            try {
                Parser::read($line->text);
            } catch (FormulaError $e) {
                throw new NoteFault($e->sentence(), $line->at);
            }
            preg_match_all('/(?<![a-zA-Z])[a-zA-Z](?![a-zA-Z])/', $line->text, $found);
            array_push($letters, ...$found[0]);
        }
        $letters = array_values(array_unique($letters));

        return [
            'lines' => array_map(static fn (NoteLine $l): array => ['expression' => $l->text] + Parts::given($l), $lines),
            'names' => $letters === [] ? ['x'] : $letters,
            'shape' => null, 'subject' => '', 'formless' => '1/2', 'from' => '-6', 'to' => '6', 'style' => 'point',
        ];
    }

    public function lines(array $rule, Names $names): ?array
    {
        return Parts::each($rule, 'lines', static fn (array $l): ?string => NoteLine::write($l, '==', Parts::text($l, 'expression'), $names));
    }

    public function renamed(array $rule): array
    {
        return $rule;
    }
}
