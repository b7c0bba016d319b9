<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** What was picked, as counting wants it. */
final class Picks
{
    /**
     * {@see among()} for a response that is at hand.
     *
     * @param list<string> $ids of the alternatives
     *
     * @return list<string>
     */
    public static function of(Response $response, string $line, array $ids): array
    {
        $options = $response->toArray()['options'] ?? [];

        return self::among(is_array($options) ? array_values(array_filter($options, is_string(...))) : [], $line, $ids);
    }

    /**
     * Options by their ids, places by the line of the rule that they fired.
     *
     * @param list<string> $options that the response names
     * @param string       $line    of the rule, as {@see Outcome::$line}
     * @param list<string> $ids     of the alternatives
     *
     * @return list<string>
     */
    public static function among(array $options, string $line, array $ids): array
    {
        return $options !== [] ? $options : array_values(array_intersect(explode('+', $line), $ids));
    }
}
