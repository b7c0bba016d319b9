<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Rule;

/** Takes an answer that was right in an unforeseen way into the key, so that it holds for everybody who gave the same. */
final class Accepting
{
    /**
     * @param BigRational $credit   what the answer earns, 0…1
     * @param string      $feedback what is said to those who give it
     *
     * @throws NotAcceptable
     */
    public static function into(Rule $rule, Response $response, BigRational $credit, string $feedback): Rule
    {
        return $response->isBlank()
            ? throw new NotAcceptable('accept', 'An empty answer cannot be accepted.')
            : $rule->accepting($response, $credit, $feedback);
    }
}
