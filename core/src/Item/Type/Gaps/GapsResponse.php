<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Gaps;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;

/** What stands in the gaps. */
final readonly class GapsResponse implements Response
{
    private const MOST = 100;
    private const LONGEST = 500;

    /** @param array<string, string> $gaps by the gap's id */
    public function __construct(public array $gaps)
    {
    }

    public static function members(): array
    {
        return ['gaps'];
    }

    public static function read(Node $node): self
    {
        return new self($node->textMap('gaps', self::MOST, self::LONGEST));
    }

    public function isBlank(): bool
    {
        return array_filter($this->gaps, static fn (string $g): bool => !TextResponse::isEmpty($g)) === [];
    }

    public function toArray(): array
    {
        return $this->gaps === [] ? self::NOTHING : ['gaps' => $this->gaps];
    }
}
