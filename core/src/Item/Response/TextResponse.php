<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Response;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\HoldsFiles;
use ChalkLadder\Core\Item\Response;

/** What was typed: a word, a number, an expression, an essay. */
final readonly class TextResponse implements Response
{
    public const LONGEST = 20_000;

    public function __construct(public string $text)
    {
    }

    /** Of a response with files, what was written beside them; of another kind, nothing. */
    public static function textOf(Response $response): string
    {
        return match (true) {
            $response instanceof self => $response->text,
            $response instanceof HoldsFiles => $response->said(),
            default => '',
        };
    }

    /** No letter, figure or sign: spaces and what cannot be seen. */
    public static function isEmpty(string $text): bool
    {
        return preg_match('/^[\p{Z}\p{C}\s]*$/Du', $text) === 1;
    }

    public static function members(): array
    {
        return ['text'];
    }

    public static function read(Node $node): self
    {
        return new self($node->text('text', self::LONGEST, ''));
    }

    public function isBlank(): bool
    {
        return self::isEmpty($this->text);
    }

    public function toArray(): array
    {
        return ['text' => $this->text];
    }
}
