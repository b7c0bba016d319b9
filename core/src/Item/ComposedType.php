<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Style;

/** A type whose answer has parts, each with a type and a rule of its own: what is done to a rule is done to each. */
abstract class ComposedType extends PlainType
{
    /** @return string the member of the rule that lists the parts */
    abstract protected function parts(): string;

    public function styled(array $rule, Style $style): array
    {
        return self::each($rule, $this->parts(), static fn (array $part): array => ItemType::styled($part, $style));
    }

    public function cleaned(array $rule, \Closure $clean): array
    {
        return self::each($rule, $this->parts(), static fn (array $part): array => ItemType::cleaned($part, $clean));
    }
}
