<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\Effort;

/** The written rule of a question with variables, and the values of one draw to put into it. */
final readonly class DrawnRule
{
    /** What putting a draw into a text costs. */
    private const FILLING = 10;

    /** @param array<string, BigRational|string> $values by variable */
    public function __construct(private ItemTemplate $template, private array $values, private Effort $effort)
    {
    }

    /** @return list<array<array-key, mixed>> the objects of one of its lists */
    public function each(string $list): array
    {
        $all = $this->template->rule()[$list] ?? [];

        return is_array($all) ? array_values(array_map(static fn (mixed $one): array => is_array($one) ? $one : [], $all)) : [];
    }

    /** HTML with the values in their places. */
    public function text(mixed $written): string
    {
        $this->effort->spend(self::FILLING);

        return Template::fill(is_string($written) ? $written : '', $this->values, true);
    }

    /** @throws \ChalkLadder\Core\Formula\FormulaError */
    public function number(mixed $written): BigRational
    {
        $text = is_string($written) || is_int($written) || is_float($written) ? (string) $written : '0';

        return str_starts_with($text, '=') ? $this->template->value(substr($text, 1), $this->values) : BigRational::of($text);
    }
}
