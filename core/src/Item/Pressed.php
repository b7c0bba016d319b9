<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** What a simple device with keys can say: letters of options, or what is typed in one line. */
final class Pressed
{
    /**
     * @param string $keys as pressed: `B`, `AC` where several may be picked, `3.8`
     *
     * @return Response|null null where the question cannot be answered by it
     */
    public static function response(Rule $rule, string $keys): ?Response
    {
        $rule = $rule instanceof Keyless ? $rule->known() : $rule;
        $keys = trim($keys);
        // Places on a picture have letters too, and are no options.
        if (!array_key_exists('options', $rule->face(new Showing(Veil::none(), '', '', false)))) {
            return $rule instanceof TypedRule && $keys !== '' ? $rule->fromField($keys) : null;
        }
        $ids = array_column($rule->alternatives(), 'id', 'letter');
        $picked = [];
        foreach (mb_str_split(mb_strtoupper($keys)) as $letter) {
            $picked[] = $ids[$letter] ?? null;
        }
        if ($picked === [] || in_array(null, $picked, true)) {
            return null;
        }

        return ResponseReader::fromArray(['options' => array_values(array_unique($picked))]);
    }
}
