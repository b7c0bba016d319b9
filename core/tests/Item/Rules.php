<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Criterion;
use ChalkLadder\Core\Item\Folding;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\Level;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Type\Choice\ChoiceRule;
use ChalkLadder\Core\Item\Type\Choice\Option;
use ChalkLadder\Core\Item\Type\Number\NumberRule;
use ChalkLadder\Core\Item\Type\Number\Target;
use ChalkLadder\Core\Item\Type\Open\OpenRule;
use ChalkLadder\Core\Item\Type\Text\Form;
use ChalkLadder\Core\Item\Type\Text\TextRule;

/** Rules that several tests use. */
final class Rules
{
    /** @return array<string, Rule> */
    public static function table(): array
    {
        $options = static fn (string ...$keys): array => array_map(
            static fn (string $id): Option => new Option(
                $id,
                "<p>$id</p>",
                in_array($id, $keys, true),
                "about $id",
                $id === 'b' ? 'idea-b' : null,
            ),
            ['a', 'b', 'c', 'd'],
        );

        return [
            'depth' => new NumberRule([self::target('3.65', '0.01'), self::target('3.33', '0', '0', 'idea-even')], 'm', 'optional'),
            'unit' => new NumberRule([self::target('3.5')], 'km', 'required'),
            'half' => new NumberRule([self::target('1/2'), self::target('1/4', '0', '1/2')]),
            'tenth' => new NumberRule([new Target(BigRational::of(100), BigRational::of('1/10'), 'relative', BigRational::one())]),
            'bank' => new TextRule(
                [new Form('Lamrock', BigRational::one()), new Form('Lambrook', BigRational::of('1/2'), 'Watch the spelling.')],
                allowSlips: true,
            ),
            'exact' => new TextRule([new Form('Ebb', BigRational::one())], new Folding(case: false), true),
            'cafe' => new TextRule([new Form('Café', BigRational::one())], new Folding(accents: true, articles: true)),
            'one' => new ChoiceRule($options('a')),
            'two' => new ChoiceRule($options('a', 'c'), several: true),
            'each' => new ChoiceRule($options('a', 'c'), several: true, perOption: true),
            'either' => new ChoiceRule($options('a', 'c')),
            'open' => new OpenRule([
                new Criterion(
                    'Cause',
                    [
                        new Level(BigRational::zero(), 'none', 'idea-moon'),
                        new Level(BigRational::of(1), 'some'),
                        new Level(BigRational::of(3), 'all'),
                    ],
                ),
                new Criterion('Evidence', [new Level(BigRational::zero(), 'none'), new Level(BigRational::of(2), 'all')]),
            ]),
        ];
    }

    public static function target(string $value, string $tolerance = '0', string $credit = '1', ?string $idea = null): Target
    {
        return new Target(
            BigRational::of($value)->simplified(),
            BigRational::of($tolerance)->simplified(),
            'absolute',
            BigRational::of($credit)->simplified(),
            misconception: $idea,
        );
    }

    /** A rule of the table above, or one of rules.json, as a question. */
    public static function item(string $rule, string $points = '1'): Item
    {
        if (!isset(self::table()[$rule])) {
            $documents = json_decode((string) file_get_contents(__DIR__.'/rules.json'), true, 64, JSON_THROW_ON_ERROR);
            $document = is_array($documents) && is_array($documents[$rule] ?? null)
                ? $documents[$rule]
                : throw new \LogicException("There is no rule $rule.");

            return ItemReader::read($document + ['version' => 1, 'title' => $rule, 'prompt' => '<p>Prompt</p>', 'points' => $points]);
        }

        return new Item('An item', '<p>Prompt</p>', BigRational::of($points), self::table()[$rule], 'skill');
    }
}
