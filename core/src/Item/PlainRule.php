<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Response\TextResponse;

/** What holds for most types: a machine checks something typed, ids play no part, and the key is changed by its editor. */
abstract readonly class PlainRule implements Rule
{
    /** One in twenty, where there is nothing to pick from. */
    protected const GUESS = 0.05;

    public function waitsForMarker(): bool
    {
        return false;
    }

    public function version(string $seed): Rule
    {
        return $this;
    }

    public function credits(): ?array
    {
        return null;
    }

    public function face(Showing $showing): array
    {
        return [];
    }

    public function renamed(Response $response, Renaming $names): Response
    {
        return $response;
    }

    public function inWords(Response $response): string
    {
        return TextResponse::textOf($response);
    }

    public function key(): string
    {
        return '';
    }

    public function accepted(): array
    {
        return [];
    }

    public function accepting(Response $response, BigRational $credit, string $feedback): Rule
    {
        throw new NotAcceptable('', 'An answer of this type cannot be taken into the key.');
    }

    public function comparedBy(Response $response, Outcome $outcome): string
    {
        return $this->inWords($response);
    }

    public function isProse(): bool
    {
        return false;
    }

    public function inputs(Response $response): array
    {
        return ['text' => TextResponse::textOf($response), 'answer' => TextResponse::textOf($response)];
    }

    public function guess(): float
    {
        return self::GUESS;
    }

    public function alternatives(): array
    {
        return [];
    }

    public function parts(Response $response): array
    {
        return $response->isBlank() || $this->waitsForMarker() || $this->alternatives() !== []
            ? []
            : [AnswerPart::whole($this, $response)];
    }

    public function texts(): array
    {
        return [];
    }

    public function files(): array
    {
        return [];
    }
}
