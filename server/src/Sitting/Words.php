<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Item\Form;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\NumberRule;
use ChalkLadder\Core\Item\Option;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Target;
use ChalkLadder\Core\Item\TextRule;

/** Answers and keys as they are said. */
final class Words
{
    /** A response: option letters and texts, or what was typed. */
    public static function given(Item $item, Response $response): string
    {
        if (!$item->rule instanceof ChoiceRule) {
            return $response->text;
        }
        $rule = $item->rule;
        $picked = array_filter($rule->options, static fn (Option $o): bool => in_array($o->id, $response->options, true));

        return implode(', ', array_map(static fn (Option $o): string => $rule->letter($o->id).' '.self::plain($o->text), $picked));
    }

    /** The key; HTML for choices, since options may hold maths. */
    public static function key(Item $item): string
    {
        $rule = $item->rule;

        return match (true) {
            $rule instanceof ChoiceRule => implode('', array_map(static fn (Option $o): string => $o->text, $rule->keys())),
            $rule instanceof TextRule => htmlspecialchars((array_values(array_filter(
                $rule->forms,
                static fn (Form $f): bool => $f->credit->isEqualTo(1),
            ))[0] ?? null)->text ?? ''),
            $rule instanceof NumberRule => self::numberKey($rule),
            default => '',
        };
    }

    public static function plain(string $html): string
    {
        return trim(html_entity_decode(strip_tags($html), ENT_QUOTES | ENT_HTML5));
    }

    private static function numberKey(NumberRule $rule): string
    {
        $target = array_values(array_filter($rule->targets, static fn (Target $t): bool => $t->credit->isEqualTo(1)))[0] ?? null;

        return $target === null ? '' : NumberText::write($target->value).($rule->unit === '' ? '' : ' '.$rule->unit);
    }
}
