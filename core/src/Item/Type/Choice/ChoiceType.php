<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Choice;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\DrawnRule;
use ChalkLadder\Core\Item\PlainType;

/** One or several of written options. */
final class ChoiceType extends PlainType
{
    public function readRule(Node $node): ChoiceRule
    {
        return ChoiceRule::read($node);
    }

    public function responses(): array
    {
        return [ChoiceResponse::class];
    }

    public function notes(): ChoiceNotes
    {
        return new ChoiceNotes();
    }

    public function seconds(): float
    {
        return 30.0;
    }

    public function cleaned(array $rule, \Closure $clean): array
    {
        return self::cleanedList($rule, 'options', $clean);
    }

    /** Two options that say the same. */
    public function faults(DrawnRule $rule): array
    {
        $faults = [];
        $seen = [];
        foreach ($rule->each('options') as $i => $option) {
            $letter = chr(65 + $i % 26);
            $shown = (new Option('x', $rule->text($option['text'] ?? ''), false))->folded();
            if (isset($seen[$shown])) {
                $faults[] = sprintf('options %s and %s say the same', $seen[$shown], $letter);
            }
            $seen[$shown] ??= $letter;
        }

        return $faults;
    }
}
