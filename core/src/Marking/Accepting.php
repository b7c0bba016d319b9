<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Item\Form;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\Option;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Target;
use ChalkLadder\Core\Item\TextRule;

/** Takes an answer that was right in an unforeseen way into the key, so that it holds for everybody who gave the same. */
final class Accepting
{
    private const LONGEST_FORM = 200;

    /**
     * @param BigRational $credit   what the answer earns, 0…1
     * @param string      $feedback what is said to those who give it
     *
     * @throws NotAcceptable
     */
    public static function into(Rule $rule, Response $response, BigRational $credit, string $feedback): Rule
    {
        if ($response->isBlank()) {
            throw new NotAcceptable('accept', 'An empty answer cannot be accepted.');
        }

        return match (true) {
            $rule instanceof TextRule => $rule->accepting(new Form(
                mb_substr(trim($response->text), 0, self::LONGEST_FORM),
                $credit,
                $feedback,
            )),
            $rule instanceof NumberRule => $rule->accepting(new Target(
                self::number($rule, $response->text),
                BigRational::zero(),
                'absolute',
                $credit,
                $feedback,
            )),
            $rule instanceof ChoiceRule => self::keyed($rule, $response, $credit),
            default => throw new NotAcceptable('', 'This question has no key.'),
        };
    }

    /** In the rule's own unit. */
    private static function number(NumberRule $rule, string $text): BigRational
    {
        [$read, $value] = $rule->understood($text) ?? throw new NotAcceptable(
            'accept',
            'This answer could not be read as a number, so a number rule cannot accept it. Correct it for the one student.',
        );

        return $value ?? $read->value;
    }

    private static function keyed(ChoiceRule $rule, Response $response, BigRational $credit): ChoiceRule
    {
        if (!$credit->isEqualTo(1)) {
            throw new NotAcceptable('credit', 'An option is a key or it is not; part credit cannot be given to one.');
        }
        $options = array_map(
            static fn (Option $o): Option => in_array($o->id, $response->options, true) ? new Option($o->id, $o->text, true, '', null) : $o,
            $rule->options,
        );

        return new ChoiceRule($options, $rule->several, $rule->perOption, $rule->keepLast);
    }
}
