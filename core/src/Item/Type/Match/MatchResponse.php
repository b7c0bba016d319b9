<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Match;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;

/** Things with the places they were given. */
final readonly class MatchResponse implements Response
{
    private const MOST = 100;

    /** @param list<array{string, string}> $pairs thing, place */
    public function __construct(public array $pairs)
    {
    }

    public static function members(): array
    {
        return ['pairs'];
    }

    public static function read(Node $node): self
    {
        $pairs = [];
        foreach ($node->children('pairs', self::MOST) as $pair) {
            $pairs[] = [$pair->text('0', 40), $pair->text('1', 40)];
            $pair->rejectUnknown();
        }

        return new self($pairs);
    }

    public function isBlank(): bool
    {
        return $this->pairs === [];
    }

    public function toArray(): array
    {
        return $this->pairs === [] ? self::NOTHING : ['pairs' => $this->pairs];
    }
}
