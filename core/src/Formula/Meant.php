<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** What may have been meant by a name that is not known: a sentence, or nothing. */
final class Meant
{
    private const LONGEST = 40;
    private const MOST_NAMED = 6;

    /** @param list<string> $names that may be used, besides the functions */
    public static function by(string $name, array $names): string
    {
        if (strlen($name) > self::LONGEST) {
            return '';
        }
        // x2 for x² is what a hand types that looks for no sign.
        if (preg_match('/\A(\pL+)(\d{1,2})\z/u', $name, $parts) === 1 && in_array($parts[1], $names, true)) {
            return sprintf('Did you mean “%s^%s”?', $parts[1], $parts[2]);
        }
        $best = '';
        $least = 3;
        foreach ([...$names, ...Functions::names()] as $one) {
            $distance = levenshtein($name, $one);
            if ($distance < $least && $distance < min(strlen($name), strlen($one))) {
                [$best, $least] = [$one, $distance];
            }
        }
        if ($best !== '') {
            return sprintf('Did you mean “%s”?', $best);
        }

        return $names === [] || count($names) > self::MOST_NAMED ? '' : sprintf('Known here: %s.', implode(', ', $names));
    }
}
