<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/**
 * The conventions by which answers are written by hand: which words stand for functions, and how letters that are run together
 * come apart (`2sqrt3`, `sin2x`, `4PI`, `X` for a declared `x`).
 */
final readonly class Shorthand
{
    /** Functions of one argument that are written without brackets. */
    private const FUNCTIONS = ['sqrt', 'sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'exp', 'ln', 'log', 'abs'];
    private const ALSO = ['arcsin' => 'asin', 'arccos' => 'acos', 'arctan' => 'atan', 'root' => 'sqrt'];
    private const MOST_PIECES = 24;

    /** @var array<string, string> what a piece of a name is read as, the longest first */
    private array $pieces;

    /** @param list<string> $names what may be named */
    public function __construct(private array $names)
    {
        $pieces = array_combine(self::FUNCTIONS, self::FUNCTIONS) + self::ALSO + ['pi' => 'pi', 'e' => 'e'];
        foreach (array_keys($pieces) as $word) {
            $pieces[ucfirst($word)] ??= $pieces[$word];
            $pieces[mb_strtoupper($word)] ??= $pieces[$word];
        }
        $declared = [];
        foreach ($names as $name) {
            $declared[$name] = $name;
        }
        foreach ($names as $name) {
            foreach ([mb_strtolower($name), mb_strtoupper($name)] as $other) {
                // A letter that stands for two things stands for itself alone.
                $declared[$other] ??= $name;
            }
        }
        $pieces = $declared + $pieces;
        uksort($pieces, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        $this->pieces = $pieces;
    }

    public function isFunction(string $name): bool
    {
        return in_array($name, self::FUNCTIONS, true) && !in_array($name, $this->names, true);
    }

    /**
     * Names taken apart where they are not known whole.
     *
     * @param non-empty-list<Token> $tokens
     *
     * @return non-empty-list<Token>
     */
    public function expanded(array $tokens): array
    {
        $new = [];
        foreach ($tokens as $token) {
            $apart = $token->kind === Token::NAME && !in_array($token->text, $this->names, true) ? $this->apart($token) : null;
            array_push($new, ...($apart ?? [$token]));
        }

        return $new === [] ? $tokens : $new;
    }

    /** @return non-empty-list<Token>|null */
    private function apart(Token $token): ?array
    {
        $rest = $token->text;
        $found = [];
        $spaced = $token->spaced;
        while ($rest !== '' && count($found) < self::MOST_PIECES) {
            // `sqrt3` is a root; `x2` may be x² or 2x, and is neither.
            $last = end($found);
            if ($last instanceof Token && $this->isFunction($last->text) && preg_match('/^\d+/', $rest, $m) === 1) {
                $found[] = new Token(Token::NUMBER, $m[0], $token->at, $spaced, true);
                $rest = substr($rest, strlen($m[0]));
                $spaced = false;

                continue;
            }
            $piece = $this->pieceAtStartOf($rest);
            if ($piece === null) {
                return null;
            }
            $found[] = new Token(Token::NAME, $this->pieces[$piece], $token->at, $spaced);
            $rest = substr($rest, strlen($piece));
            $spaced = false;
        }

        return $rest !== '' || $found === [] ? null : $found;
    }

    private function pieceAtStartOf(string $text): ?string
    {
        foreach (array_keys($this->pieces) as $piece) {
            if (str_starts_with($text, (string) $piece)) {
                return (string) $piece;
            }
        }

        return null;
    }
}
