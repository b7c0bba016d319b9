<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Gaps;

use ChalkLadder\Core\Item\Notation\FieldNotes;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\Parts;

/** A passage with its answers in brackets, what else is right or told behind a stroke: `> After high water comes the [ebb / x flood]`. */
final class GapsNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return Parts::all($lines, '>');
    }

    public function rule(array $lines, Names $names): array
    {
        $gaps = $passage = [];
        foreach ($lines as $line) {
            if (preg_match('/\[[^\]]*(?:\[|$)/u', $line->text) === 1) {
                throw new NoteFault('A bracket is opened and not closed.', $line->at);
            }
            $passage[] = (string) preg_replace_callback('/\[([^\[\]]*)\]/u', static function (array $found) use (&$gaps, $line, $names): string {
                $id = 'g'.(count($gaps) + 1);
                $gaps[] = ['id' => $id] + FieldNotes::read($found[1], $line->at, $names) + ['weight' => 1];

                return "[$id]";
            }, $line->text);
        }

        return ['passage' => implode("\n", $passage), 'gaps' => $gaps];
    }

    public function lines(array $rule, Names $names): ?array
    {
        $passage = Parts::text($rule, 'passage');
        foreach (is_array($rule['gaps'] ?? null) ? $rule['gaps'] : [] as $gap) {
            $said = is_array($gap) ? FieldNotes::write($gap, $names) : null;
            $place = is_array($gap) ? '['.Parts::text($gap, 'id').']' : '';
            if ($said === null || substr_count($passage, $place) !== 1) {
                return null;
            }
            $passage = str_replace($place, "[$said]", $passage);
        }

        return $passage === '' ? null : array_map(static fn (string $l): string => rtrim('> '.$l), explode("\n", $passage));
    }

    public function renamed(array $rule): array
    {
        $passage = Parts::text($rule, 'passage');
        foreach (is_array($rule['gaps'] ?? null) ? array_values($rule['gaps']) : [] as $i => $gap) {
            if (is_array($gap) && is_array($rule['gaps'])) {
                $passage = str_replace('['.Parts::text($gap, 'id').']', '[:'.($i + 1).':]', $passage);
                $rule['gaps'][$i] = ['id' => 'g'.($i + 1)] + $gap;
            }
        }

        return ['passage' => (string) preg_replace('/\[:(\d+):\]/', '[g$1]', $passage)] + $rule;
    }
}
