<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Item\Response\TextResponse;

/** An answer that is typed into one field. */
abstract readonly class TypedRule extends PlainRule implements FieldRule
{
    public function fromField(string $text): Response
    {
        return new TextResponse($text);
    }

    public function intoField(Response $response): string
    {
        return TextResponse::textOf($response);
    }
}
