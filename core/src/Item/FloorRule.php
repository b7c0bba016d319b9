<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** An open floor: a text that is not scored. Answers are shared after the teacher lets them through. */
final readonly class FloorRule implements Rule
{
    public function type(): ItemType
    {
        return ItemType::Floor;
    }

    public function check(Response $response): Outcome
    {
        return Outcome::nothing();
    }

    public function waitsForMarker(): bool
    {
        return false;
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
