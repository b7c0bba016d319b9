<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;

/**
 * Reads a question from its JSON form (docs/formats/question.md). Unknown keys are refused; a half-written question is
 * not: see {@see Item::defects()}.
 */
final class ItemReader
{
    public const VERSION = 1;
    private const RICH = 20_000;
    private const MOST_CHECKS = 30;

    /**
     * @param array<array-key, mixed> $json
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid
     */
    public static function read(array $json): Item
    {
        $node = new Node($json);
        $item = self::readNode($node);
        $node->finish();

        return $item;
    }

    /**
     * Reads an answer rule alone, of a known type.
     *
     * @param array<array-key, mixed> $json
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid
     */
    public static function readRule(ItemType $type, array $json): Rule
    {
        $node = new Node($json, 'rule');
        $rule = self::rule($type, $node);
        $node->finish();

        return $rule;
    }

    private static function readNode(Node $node): Item
    {
        $node->int('version', self::VERSION, self::VERSION);
        $type = ItemType::from($node->oneOf('type', array_map(static fn (ItemType $t): string => $t->value, ItemType::cases())));
        $item = new Item(
            $node->text('title', 120, ''),
            $node->text('prompt', self::RICH),
            $node->rational('points', '0', '100'),
            self::rule($type, $node->child('rule')),
            $node->textOrNull('skill', 36),
            $node->text('hint', self::RICH, ''),
            $node->text('explanation', self::RICH, ''),
            array_map(Check::read(...), $node->children('checks', self::MOST_CHECKS)),
            $node->bool('confidence', false),
        );
        $node->rejectUnknown();

        return $item;
    }

    private static function rule(ItemType $type, Node $node): Rule
    {
        $rule = match ($type) {
            ItemType::Choice => ChoiceRule::read($node),
            ItemType::Text => TextRule::read($node),
            ItemType::Number => NumberRule::read($node),
            ItemType::Expression => ExpressionRule::read($node),
            ItemType::Gaps => GapsRule::read($node, self::rule(...)),
            ItemType::Order => OrderRule::read($node),
            ItemType::Match => MatchRule::read($node),
            ItemType::Spot => SpotRule::read($node),
            ItemType::Plot => PlotRule::read($node),
            ItemType::Table => TableRule::read($node, self::rule(...)),
            ItemType::Open, ItemType::Working, ItemType::Recording, ItemType::Upload => new OpenRule(
                array_map(self::criterion(...), $node->children('criteria', 8)),
                $type,
            ),
            ItemType::Floor => new FloorRule(),
        };
        $node->rejectUnknown();

        return $rule;
    }

    private static function criterion(Node $node): Criterion
    {
        $levels = [];
        foreach ($node->children('levels', 10) as $level) {
            $levels[] = new Level(
                $level->rational('points', '0', '100'),
                $level->text('descriptor', 500),
                $level->textOrNull('misconception', 36),
            );
            $level->rejectUnknown();
        }
        $criterion = new Criterion($node->text('name', 120), $levels);
        $node->rejectUnknown();

        return $criterion;
    }
}
