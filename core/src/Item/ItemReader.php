<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/**
 * Reads a question from its JSON form (docs/formats/question.md). Unknown keys are refused; a half-written question is
 * not: see {@see Item::defects()}.
 */
final class ItemReader
{
    public const VERSION = 1;
    public const RICH = 20_000;
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
        $type = ItemType::from($node->oneOf('type', ItemType::names()));
        $item = new Item(
            $node->text('title', 120, ''),
            $node->text('prompt', self::RICH),
            $node->rational('points', '0', '100'),
            self::rule($type, $node->child('rule')),
            $node->textOrNull('skill', 36),
            self::hints($node),
            $node->text('explanation', self::RICH, ''),
            array_map(Check::read(...), $node->children('checks', self::MOST_CHECKS)),
            $node->bool('confidence', false),
            GoBack::readFrom($node),
            $node->bool('working', false),
            $node->bool('onPaper', false),
        );
        $node->rejectUnknown();

        return $item->onPaper ? $item->withRule(Keyless::orKnown($item->rule)) : $item;
    }

    /** @return list<Hint> */
    private static function hints(Node $node): array
    {
        $first = $node->text('hint', self::RICH, '');
        $further = array_map(Hint::read(...), $node->children('hints', Hint::MOST - ($first === '' ? 0 : 1)));

        return $first === '' ? $further : [new Hint($first, BigRational::zero()), ...$further];
    }

    /** The rule of a question, a gap or a cell; what is wrong is noted at its place. */
    public static function rule(ItemType $type, Node $node): Rule
    {
        $rule = $type->definition()->readRule($node);
        $node->rejectUnknown();

        return $rule;
    }
}
