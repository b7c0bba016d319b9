<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Item\Notation\Notes;
use ChalkLadder\Core\Item\Response\TextResponse;

/** What holds for most types. */
abstract class PlainType implements AnswerType
{
    public function responses(): array
    {
        return [TextResponse::class];
    }

    public function notes(): ?Notes
    {
        return null;
    }

    public function isDragged(): bool
    {
        return false;
    }

    public function isScored(): bool
    {
        return true;
    }

    public function styled(array $rule, Style $style): array
    {
        return $rule;
    }

    public function cleaned(array $rule, \Closure $clean): array
    {
        return $rule;
    }

    public function faults(DrawnRule $rule): array
    {
        return [];
    }

    /**
     * Passes the texts of a list through the gate; what is not as it should be is left for the reader to refuse.
     *
     * @param array<array-key, mixed>  $rule
     * @param \Closure(string): string $clean
     *
     * @return array<array-key, mixed>
     */
    protected static function cleanedList(array $rule, string $list, \Closure $clean): array
    {
        return self::each($rule, $list, static fn (array $one): array => is_string($one['text'] ?? null)
            ? ['text' => $clean($one['text'])] + $one
            : $one);
    }

    /**
     * @param array<array-key, mixed>                                            $rule
     * @param \Closure(array<array-key, mixed>): array<array-key, mixed>         $do
     *
     * @return array<array-key, mixed>
     */
    protected static function each(array $rule, string $list, \Closure $do): array
    {
        return is_array($rule[$list] ?? null)
            ? [$list => array_map(static fn (mixed $one): mixed => is_array($one) ? $do($one) : $one, $rule[$list])] + $rule
            : $rule;
    }
}
