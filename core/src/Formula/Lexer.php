<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/**
 * Cuts a formula into tokens, reading maths as people type and paste it: `×`, `·`, `÷`, `−` (U+2212), `√`, `π`, `≤`,
 * superscripts (`x²`), vulgar fractions (`½`), full-width digits, non-breaking and thin spaces, thousands separators
 * outside of argument lists. Format characters (zero-width, direction marks) are invisible and are passed over.
 */
final class Lexer
{
    private const LONGEST = 10_000;
    private const MOST_TOKENS = 2000;
    private const LONGEST_NUMBER = 60;
    private const LARGEST_EXPONENT = 60;
    private const SUPERSCRIPTS = [
        '⁰' => '0',
        '¹' => '1',
        '²' => '2',
        '³' => '3',
        '⁴' => '4',
        '⁵' => '5',
        '⁶' => '6',
        '⁷' => '7',
        '⁸' => '8',
        '⁹' => '9',
        '⁺' => '+',
        '⁻' => '-',
    ];
    private const VULGAR = [
        '½' => '1/2',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅕' => '1/5',
        '⅖' => '2/5',
        '⅗' => '3/5',
        '⅘' => '4/5',
        '⅙' => '1/6',
        '⅚' => '5/6',
        '⅐' => '1/7',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
        '⅑' => '1/9',
        '⅒' => '1/10',
    ];
    private const SIGNS = [
        '×' => '*',
        '·' => '*',
        '∙' => '*',
        '⋅' => '*',
        '÷' => '/',
        '∕' => '/',
        '⁄' => '/',
        '−' => '-',
        '–' => '-',
        '‐' => '-',
        '≤' => '<=',
        '≥' => '>=',
        '≠' => '<>',
        '“' => '"',
        '”' => '"',
        '„' => '"',
    ];

    /** @var list<string> one visible character each */
    private array $characters = [];
    /** @var list<int> where each of them stood in the text */
    private array $places = [];
    private int $at = 0;
    /** @var list<bool> for each open bracket, whether it holds a list of arguments */
    private array $brackets = [];
    /** @var list<Token> */
    private array $tokens = [];

    private function __construct(string $text, private readonly Style $style)
    {
        $this->characters = mb_str_split($text);
        $this->places = range(0, count($this->characters));
        // Format characters may stand inside a number or a name; they mean nothing.
        if (preg_match('/\p{Cf}/u', $text) === 1) {
            $seen = array_filter($this->characters, static fn (string $c): bool => preg_match('/^\p{Cf}$/u', $c) !== 1);
            $this->places = [...array_keys($seen), count($this->characters)];
            $this->characters = array_values($seen);
        }
    }

    /**
     * @return non-empty-list<Token> the last is the end
     *
     * @throws FormulaError
     */
    public static function tokens(string $text, Style $style = Style::Point): array
    {
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw new FormulaError('This is not valid text.');
        }
        if (strlen($text) > 4 * self::LONGEST || mb_strlen($text) > self::LONGEST) {
            throw new FormulaError(sprintf('This is longer than %d characters.', self::LONGEST), self::LONGEST);
        }
        $lexer = new self($text, $style);
        try {
            $lexer->run();
        } catch (FormulaError $e) {
            throw new FormulaError($e->getMessage(), $lexer->places[$e->at] ?? 0, $e->suggestion);
        }
        $placed = array_map(
            static fn (Token $t): Token => new Token($t->kind, $t->text, $lexer->places[$t->at] ?? 0, $t->spaced, $t->whole),
            $lexer->tokens,
        );

        return [...$placed, new Token(Token::END, '', mb_strlen($text))];
    }

    private function run(): void
    {
        $spaced = false;
        while ($this->at < count($this->characters)) {
            $c = $this->characters[$this->at];
            if ($c === ' ' || (($c < '!' || strlen($c) > 1) && preg_match('/^[\p{Z}\s]$/u', $c) === 1)) {
                $spaced = true;
                ++$this->at;
            } else {
                $this->one($c, $spaced);
                $spaced = false;
                if (count($this->tokens) > self::MOST_TOKENS) {
                    throw new FormulaError(sprintf('This has more than %d parts.', self::MOST_TOKENS), $this->at);
                }
            }
        }
    }

    private function one(string $c, bool $spaced): void
    {
        $start = $this->at;
        if (isset(self::VULGAR[$c])) {
            ++$this->at;
            $this->tokens[] = new Token(Token::NUMBER, self::VULGAR[$c], $start, $spaced);
        } elseif (isset(self::SUPERSCRIPTS[$c])) {
            $this->power($start);
        } elseif (self::digit($c) !== null
            || ($c === $this->style->decimal() && self::digit($this->characters[$this->at + 1] ?? '') !== null && !$this->separates($c))) {
            $this->number($spaced);
        } elseif ($c === 'π') {
            ++$this->at;
            $this->tokens[] = new Token(Token::NAME, 'pi', $start, $spaced);
        } elseif (self::letter($c)) {
            $this->name($spaced);
        } elseif ((self::SIGNS[$c] ?? $c) === '"') {
            $this->text($spaced);
        } else {
            $this->sign($c, $spaced);
        }
    }

    private static function letter(string $c): bool
    {
        return strlen($c) === 1 ? ctype_alpha($c) || $c === '_' : preg_match('/^\p{L}$/u', $c) === 1;
    }

    /** A plain digit, whatever its width. */
    private static function digit(string $c): ?string
    {
        if ($c >= '0' && $c <= '9' && strlen($c) === 1) {
            return $c;
        }
        if (strlen($c) !== 3) {
            return null;
        }
        $code = mb_ord($c);

        return $code >= 0xFF10 && $code <= 0xFF19 ? chr($code - 0xFF10 + 48) : null;
    }

    private function separates(string $c): bool
    {
        return $c === $this->style->separator() && end($this->brackets) === true;
    }

    private function digits(): string
    {
        $digits = '';
        while (($digit = self::digit($this->characters[$this->at] ?? '')) !== null) {
            $digits .= $digit;
            ++$this->at;
        }

        return $digits;
    }

    private function number(bool $spaced): void
    {
        $start = $this->at;
        $whole = $this->digits();
        // A group of three after a separator belongs to the number, unless the sign parts arguments here.
        $separator = $this->style->thousands();
        while ($whole !== ''
            && strlen($whole) <= self::LONGEST_NUMBER
            && ($this->characters[$this->at] ?? '') === $separator
            && !$this->separates($separator)
            && $this->groupFollows()) {
            ++$this->at;
            $whole .= $this->digits();
        }
        $fraction = '';
        if (($this->characters[$this->at] ?? '') === $this->style->decimal()
            && !$this->separates($this->style->decimal())
            && self::digit($this->characters[$this->at + 1] ?? '') !== null) {
            ++$this->at;
            $fraction = $this->digits();
        }
        $exponent = $this->exponent();
        if (strlen($whole.$fraction) > self::LONGEST_NUMBER) {
            throw new FormulaError(sprintf('A number of more than %d digits.', self::LONGEST_NUMBER), $start);
        }
        $text = ($whole === '' ? '0' : $whole).($fraction === '' ? '' : '.'.$fraction).($exponent === null ? '' : 'e'.$exponent);
        $this->tokens[] = new Token(Token::NUMBER, $text, $start, $spaced, $fraction === '' && $exponent === null);
    }

    private function groupFollows(): bool
    {
        for ($i = 1; $i <= 3; ++$i) {
            if (self::digit($this->characters[$this->at + $i] ?? '') === null) {
                return false;
            }
        }

        return self::digit($this->characters[$this->at + 4] ?? '') === null;
    }

    /** `e-4` directly behind the digits; `e` alone is a name. */
    private function exponent(): ?int
    {
        $c = $this->characters[$this->at] ?? '';
        $sign = $this->characters[$this->at + 1] ?? '';
        $signed = in_array($sign, ['+', '-', '−'], true);
        if (($c !== 'e' && $c !== 'E') || self::digit($this->characters[$this->at + ($signed ? 2 : 1)] ?? '') === null) {
            return null;
        }
        $at = $this->at;
        $this->at += $signed ? 2 : 1;
        $digits = $this->digits();
        if (strlen($digits) > 3 || (int) $digits > self::LARGEST_EXPONENT) {
            throw new FormulaError(sprintf('An exponent beyond ±%d.', self::LARGEST_EXPONENT), $at);
        }

        return $signed && $sign !== '+' ? -(int) $digits : (int) $digits;
    }

    private function power(int $start): void
    {
        $text = '';
        while (isset(self::SUPERSCRIPTS[$this->characters[$this->at] ?? ''])) {
            $text .= self::SUPERSCRIPTS[$this->characters[$this->at]];
            ++$this->at;
        }
        if (preg_match('/^([+-]?)(\d{1,4})$/D', $text, $m) !== 1) {
            throw new FormulaError('This exponent cannot be read.', $start);
        }
        $this->tokens[] = new Token(Token::SIGN, '^', $start);
        if ($m[1] === '-') {
            $this->tokens[] = new Token(Token::SIGN, '-', $start);
        }
        $this->tokens[] = new Token(Token::NUMBER, $m[2], $start, false, true);
    }

    private function name(bool $spaced): void
    {
        $start = $this->at;
        $name = '';
        while (($c = $this->characters[$this->at] ?? '') !== '' && (self::letter($c) || self::digit($c) !== null)) {
            $name .= $c;
            ++$this->at;
        }
        $this->tokens[] = new Token(Token::NAME, Unicode::compatible($name), $start, $spaced);
    }

    private function text(bool $spaced): void
    {
        $start = $this->at++;
        $text = '';
        while (true) {
            $c = $this->characters[$this->at] ?? throw new FormulaError(
                'This text is not closed.',
                $start,
                'Put a " behind its last word.',
            );
            ++$this->at;
            if ((self::SIGNS[$c] ?? $c) === '"') {
                // Two in a row stand for one that belongs to the text.
                if ((self::SIGNS[$this->characters[$this->at] ?? ''] ?? $this->characters[$this->at] ?? '') !== '"') {
                    break;
                }
                ++$this->at;
            }
            $text .= $c;
        }
        $this->tokens[] = new Token(Token::TEXT, $text, $start, $spaced);
    }

    private function sign(string $c, bool $spaced): void
    {
        $start = $this->at;
        $plain = strlen($c) === 1 ? $c : self::SIGNS[$c] ?? self::SIGNS[Unicode::compatible($c)] ?? Unicode::compatible($c);
        $two = $plain.($this->characters[$this->at + 1] ?? '');
        if (in_array($two, ['<=', '>=', '<>', '**', '=='], true)) {
            $plain = ['**' => '^', '==' => '='][$two] ?? $two;
            ++$this->at;
        }
        if (!in_array(
            $plain,
            ['+', '-', '*', '/', '^', '%', '(', ')', '[', ']', ',', ';', '=', '<', '>', '<=', '>=', '<>', '.', '√', ':', '|'],
            true,
        )) {
            throw new FormulaError(sprintf('“%s” is not known here.', $c), $start);
        }
        ++$this->at;
        if ($plain === '(' || $plain === '[') {
            $before = end($this->tokens);
            $this->brackets[] = $plain === '['
                || ($before instanceof Token && $before->kind === Token::NAME && Functions::has($before->text));
        } elseif ($plain === ')' || $plain === ']') {
            array_pop($this->brackets);
        }
        $this->tokens[] = new Token(Token::SIGN, $plain === ':' ? '/' : $plain, $start, $spaced);
    }
}
