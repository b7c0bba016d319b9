<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** What rules made of fields do with each. */
final class FieldRules
{
    /**
     * The field's rule that takes what stands in it; as it is where that is nothing, or earns as much already.
     *
     * @throws NotAcceptable
     */
    public static function accepting(FieldRule $rule, string $text, BigRational $credit, string $feedback): FieldRule
    {
        $response = $rule->fromField($text);
        $earned = $rule->check($response)->credit ?? BigRational::zero();
        if ($response->isBlank() || $earned->isGreaterThanOrEqualTo($credit)) {
            return $rule;
        }
        $taking = $rule->accepting($response, $credit, $feedback);

        return $taking instanceof FieldRule ? $taking : $rule;
    }
}
