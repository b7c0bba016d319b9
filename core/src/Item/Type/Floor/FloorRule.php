<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Floor;

use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\PlainRule;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\TextResponse;

/** An open floor: a text that is not scored. Answers are shared after the teacher lets them through. */
final readonly class FloorRule extends PlainRule
{
    public function type(): ItemType
    {
        return ItemType::Floor;
    }

    public function check(Response $response): Outcome
    {
        return $response->isBlank() ? Outcome::nothing() : Outcome::said(mb_substr(TextResponse::textOf($response), 0, 200));
    }

    public function isProse(): bool
    {
        return true;
    }

    public function misconceptions(): array
    {
        return [];
    }

    public function toArray(): array
    {
        return [];
    }

    public function defects(): array
    {
        return [];
    }
}
