<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Open;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteFault;
use ChalkLadder\Core\Item\Notation\NoteLine;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Notation\Parts;

/** A rubric: `mark for Cause`, and below it its levels: `0: none`, `2: the moon pulls the water`. */
final class OpenNotes implements Notes
{
    public function areOf(array $lines): bool
    {
        return $lines[0]->sign === 'criterion'
            && array_filter($lines, static fn (NoteLine $l): bool => !in_array($l->sign, ['criterion', ':'], true)) === [];
    }

    public function rule(array $lines, Names $names): array
    {
        $called = $levels = [];
        foreach ($lines as $line) {
            if ($line->sign === 'criterion') {
                $called[] = $line->text;
                $levels[] = [];
                continue;
            }
            if ($called === []) {
                throw new NoteFault('A level stands below what it is a level of: write “mark for …” above it.', $line->at);
            }
            [$points, $words] = explode(' ', $line->text, 2);
            if (str_ends_with($points, '/0')) {
                throw new NoteFault('Nothing can be divided by zero.', $line->at);
            }
            $levels[count($called) - 1][] = [
                'points' => (string) BigRational::of($points)->simplified(),
                'descriptor' => $words,
                'misconception' => $line->idea,
            ];
        }

        $criteria = array_map(static fn (string $name, array $own): array => ['name' => $name, 'levels' => $own], $called, $levels);

        return ['criteria' => $criteria, 'least' => null, 'most' => null, 'starters' => []];
    }

    public function lines(array $rule, Names $names): ?array
    {
        $lines = [];
        foreach (is_array($rule['criteria'] ?? null) ? $rule['criteria'] : [] as $criterion) {
            if (!is_array($criterion)) {
                return null;
            }
            $lines[] = 'mark for '.NoteLine::escaped(Parts::text($criterion, 'name'));
            $levels = Parts::each($criterion, 'levels', static function (array $level) use ($names): ?string {
                $tail = NoteLine::tail($level, $names);

                return $tail === null ? null : Parts::text($level, 'points').': '.NoteLine::escaped(Parts::text($level, 'descriptor')).$tail;
            });
            if ($levels === null) {
                return null;
            }
            array_push($lines, ...$levels);
        }

        return $lines === [] ? null : $lines;
    }

    public function renamed(array $rule): array
    {
        return $rule;
    }
}
