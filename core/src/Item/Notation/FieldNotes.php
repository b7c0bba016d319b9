<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Notation;

use ChalkLadder\Core\Item\ItemType;

/** What stands in the brackets of a gap or an asked cell: answers, parted by strokes with a space on either side. */
final class FieldNotes
{
    private const STROKE = '~\s+/\s+~u';

    /**
     * @return array{type: string, rule: array<string, mixed>}
     *
     * @throws NoteFault
     */
    public static function read(string $inside, int $at, Names $names): array
    {
        $answers = Parts::split(self::STROKE, trim($inside));
        $lines = [];
        foreach ($answers as $answer) {
            if ($answer === '') {
                throw new NoteFault('Empty brackets say nothing: write what is right in them.', $at);
            }
            // An option wears a tick or a cross from the first; all else is an answer to be typed. A share wants its sign, since
            // 1/2 is a number, too.
            $asItIs = preg_match('~^v\s~', $inside) === 1 || str_contains($answer, '= ');
            $lines[] = NoteLine::within($asItIs ? $answer : self::typed($answer), $at, $names);
        }
        $type = NotedHead::typeOf($lines);
        $notes = $type?->definition()->notes();

        return $type === null || $notes === null
            ? throw new NoteFault('Within brackets stand words, numbers or options, not both.', $at)
            : ['type' => $type->value, 'rule' => $notes->rule($lines, $names)];
    }

    /** @param array<array-key, mixed> $field its type and its rule */
    public static function write(array $field, Names $names): ?string
    {
        $type = ItemType::tryFrom(Parts::text($field, 'type'));
        $rule = is_array($field['rule'] ?? null) ? $field['rule'] : [];
        $lines = $type?->definition()->notes()?->lines($rule, $names);
        if ($lines === null || $lines === [] || preg_grep('~[\[\]|]|\s/\s~u', $lines) !== []) {
            return null;
        }

        return implode(' / ', array_map(static fn (string $l): string => (string) preg_replace('~^([vx] )?= ~u', '$1', $l), $lines));
    }

    private static function typed(string $answer): string
    {
        return (string) preg_replace('~^((?:v|x)\s+)?(?=\S)~uD', '$1= ', $answer);
    }
}
