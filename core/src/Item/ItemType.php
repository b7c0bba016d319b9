<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Style;

/** The types of answer. Each is a folder in `Type/`, registered here and nowhere else. */
enum ItemType: string
{
    case Choice = 'choice';
    case Text = 'text';
    case Number = 'number';
    case Expression = 'expression';
    case Gaps = 'gaps';
    case Order = 'order';
    case Match = 'match';
    case Spot = 'spot';
    case Plot = 'plot';
    case Table = 'table';
    case Open = 'open';
    case Working = 'working';
    case Recording = 'recording';
    case Upload = 'upload';
    case Floor = 'floor';

    public function definition(): AnswerType
    {
        return match ($this) {
            self::Choice => new Type\Choice\ChoiceType(),
            self::Text => new Type\Text\TextType(),
            self::Number => new Type\Number\NumberType(),
            self::Expression => new Type\Expression\ExpressionType(),
            self::Gaps => new Type\Gaps\GapsType(),
            self::Order => new Type\Order\OrderType(),
            self::Match => new Type\Match\MatchType(),
            self::Spot => new Type\Spot\SpotType(),
            self::Plot => new Type\Plot\PlotType(),
            self::Table => new Type\Table\TableType(),
            self::Open => new Type\Open\OpenType(),
            self::Working => new Type\Working\WorkingType(),
            self::Recording => new Type\Recording\RecordingType(),
            self::Upload => new Type\Upload\UploadType(),
            self::Floor => new Type\Floor\FloorType(),
        };
    }

    /** @return non-empty-list<string> */
    public static function names(): array
    {
        return array_map(static fn (self $t): string => $t->value, self::cases());
    }

    /**
     * A question, gap or cell with the numbers of its rule read as the team writes them.
     *
     * @param array<array-key, mixed> $part its type and its rule, as they came in
     *
     * @return array<array-key, mixed>
     */
    public static function styled(array $part, Style $style): array
    {
        return self::changed($part, static fn (AnswerType $type, array $rule): array => $type->styled($rule, $style));
    }

    /**
     * A question, gap or cell with each rich text of its rule passed through a gate.
     *
     * @param array<array-key, mixed>  $part
     * @param \Closure(string): string $clean
     *
     * @return array<array-key, mixed>
     */
    public static function cleaned(array $part, \Closure $clean): array
    {
        return self::changed($part, static fn (AnswerType $type, array $rule): array => $type->cleaned($rule, $clean));
    }

    /**
     * What has no known type or no rule is left for the reader to refuse.
     *
     * @param array<array-key, mixed>                                                     $part
     * @param \Closure(AnswerType, array<array-key, mixed>): array<array-key, mixed>      $do
     *
     * @return array<array-key, mixed>
     */
    private static function changed(array $part, \Closure $do): array
    {
        $type = is_string($part['type'] ?? null) ? self::tryFrom($part['type']) : null;
        $rule = $part['rule'] ?? null;

        return $type === null || !is_array($rule) ? $part : ['rule' => $do($type->definition(), $rule)] + $part;
    }
}
