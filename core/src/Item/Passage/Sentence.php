<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

/** One sentence of a passage, and where it stands: `line 3`, `paragraph 2`. */
final readonly class Sentence
{
    public function __construct(public string $text, public string $place)
    {
    }

    public function words(): int
    {
        return (int) preg_match_all('/\S+/u', $this->text);
    }

    /** The sentence with one piece of it replaced; null where it does not stand in it exactly once. */
    public function with(string $piece, string $instead): ?string
    {
        $pattern = '/(?<![\p{L}\d])'.preg_quote($piece, '/').'(?![\p{L}\d])/u';

        return preg_match_all($pattern, $this->text) === 1
            ? preg_replace_callback($pattern, static fn (): string => $instead, $this->text)
            : null;
    }
}
