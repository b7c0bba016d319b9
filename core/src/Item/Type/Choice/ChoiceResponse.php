<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Choice;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;

/** Picked options. */
final readonly class ChoiceResponse implements Response
{
    private const MOST = 40;

    /** @param list<string> $options ids, sorted, each once */
    private function __construct(public array $options)
    {
    }

    public static function of(string ...$options): self
    {
        $options = array_values(array_unique($options));
        sort($options, SORT_STRING);

        return new self($options);
    }

    public static function members(): array
    {
        return ['options'];
    }

    public static function read(Node $node): self
    {
        return self::of(...$node->texts('options', self::MOST, 40));
    }

    public function isBlank(): bool
    {
        return $this->options === [];
    }

    public function toArray(): array
    {
        return $this->options === [] ? self::NOTHING : ['options' => $this->options];
    }
}
