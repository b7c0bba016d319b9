<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Unit;

/** Reads a question from its JSON form (docs/formats/question.md). Unknown keys are refused; a half-written question is not: see {@see Item::defects()}. */
final class ItemReader
{
    public const VERSION = 1;
    private const RICH = 20_000;
    private const MOST_OPTIONS = 12;
    private const MOST_FORMS = 100;

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
        );
        $node->rejectUnknown();

        return $item;
    }

    private static function rule(ItemType $type, Node $node): Rule
    {
        $rule = match ($type) {
            ItemType::Choice => self::choice($node),
            ItemType::Text => self::textRule($node),
            ItemType::Number => self::number($node),
            ItemType::Open => new OpenRule(array_map(self::criterion(...), $node->children('criteria', 8))),
        };
        $node->rejectUnknown();

        return $rule;
    }

    private static function choice(Node $node): ChoiceRule
    {
        $ids = [];
        $options = [];
        foreach ($node->children('options', self::MOST_OPTIONS) as $option) {
            $id = $option->text('id', 12);
            if (preg_match('/^[a-z0-9]{1,12}$/D', $id) !== 1 || isset($ids[$id])) {
                $option->fault('id', 'Each option needs an id of its own: 1 to 12 letters a–z or digits.');
            }
            $ids[$id] = true;
            $options[] = new Option($id, $option->text('text', 2000), $option->bool('key', false), $option->text('feedback', 2000, ''), $option->textOrNull('misconception', 36));
            $option->rejectUnknown();
        }

        return new ChoiceRule($options, $node->bool('several', false), $node->bool('perOption', false), $node->bool('keepLast', false));
    }

    private static function textRule(Node $node): TextRule
    {
        $forms = [];
        foreach ($node->children('forms', self::MOST_FORMS) as $form) {
            $forms[] = new Form($form->text('text', 200), $form->rational('credit', '0', '1', '1'), $form->text('feedback', 2000, ''), $form->textOrNull('misconception', 36));
            $form->rejectUnknown();
        }
        $folding = new Folding();
        if ($node->has('folding')) {
            $f = $node->child('folding');
            $folding = new Folding($f->bool('case', true), $f->bool('accents', false), $f->bool('punctuation', true), $f->bool('articles', false));
            $f->rejectUnknown();
        }

        return new TextRule($forms, $folding, $node->bool('allowSlips', false));
    }

    private static function number(Node $node): NumberRule
    {
        $targets = [];
        foreach ($node->children('targets', self::MOST_FORMS) as $target) {
            $targets[] = new Target(
                $target->rational('value', '-1000000000', '1000000000'),
                $target->rational('tolerance', '0', '1000000000', '0'),
                $target->oneOf('kind', ['absolute', 'relative'], 'absolute') === 'relative' ? 'relative' : 'absolute',
                $target->rational('credit', '0', '1', '1'),
                $target->text('feedback', 2000, ''),
                $target->textOrNull('misconception', 36),
            );
            $target->rejectUnknown();
        }
        $unit = $node->text('unit', 20, '');
        if ($unit !== '' && Unit::named($unit) === null) {
            $node->fault('unit', 'This unit is not known. Known units: '.implode(', ', Unit::symbols()).'.');
        }
        $use = $node->oneOf('unitUse', ['none', 'optional', 'required'], $unit === '' ? 'none' : 'optional');

        return new NumberRule($targets, $unit, match ($use) {
            'required' => 'required', 'optional' => 'optional', default => 'none',
        });
    }

    private static function criterion(Node $node): Criterion
    {
        $levels = [];
        foreach ($node->children('levels', 10) as $level) {
            $levels[] = new Level($level->rational('points', '0', '100'), $level->text('descriptor', 500), $level->textOrNull('misconception', 36));
            $level->rejectUnknown();
        }
        $criterion = new Criterion($node->text('name', 120), $levels);
        $node->rejectUnknown();

        return $criterion;
    }
}
