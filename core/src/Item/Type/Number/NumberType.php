<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Number;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Item\DrawnRule;
use ChalkLadder\Core\Item\PlainType;

/** A number, with its unit if one is asked for. */
final class NumberType extends PlainType
{
    public function readRule(Node $node): NumberRule
    {
        return NumberRule::read($node);
    }

    public function notes(): NumberNotes
    {
        return new NumberNotes();
    }

    public function seconds(): float
    {
        return 60.0;
    }

    public function styled(array $rule, Style $style): array
    {
        return $rule + ['style' => $style->value];
    }

    /** Values that lie within tolerance of each other though they earn different credit. */
    public function faults(DrawnRule $rule): array
    {
        $targets = array_map(static fn (array $t): Target => self::target($rule, $t), $rule->each('targets'));
        $faults = [];
        foreach ($targets as $i => $target) {
            foreach (array_slice($targets, 0, $i) as $j => $earlier) {
                if (!$target->credit->isEqualTo($earlier->credit)
                    && ($earlier->isHitBy($target->value) || $target->isHitBy($earlier->value))) {
                    $faults[] = sprintf('values %d and %d lie within tolerance of each other', $j + 1, $i + 1);
                }
            }
        }

        return $faults;
    }

    /** @param array<array-key, mixed> $written */
    private static function target(DrawnRule $rule, array $written): Target
    {
        $kind = is_string($written['kind'] ?? null) ? $written['kind'] : 'absolute';

        return new Target(
            $rule->number($written['value'] ?? '0'),
            $rule->number($written['tolerance'] ?? '0'),
            in_array($kind, Target::KINDS, true) ? $kind : 'absolute',
            $rule->number($written['credit'] ?? '1'),
        );
    }
}
