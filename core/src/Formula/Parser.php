<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * Reads the formula language. From weak to strong: `if … then … else …`; `or`; `and`; `not`; comparison chains
 * (`3 < x <= 5`); `+ −`; `× ÷` and multiplication without a sign (`2(x+1)`); sign; `^`; `%`; `.member`.
 *
 * Names that nobody declared but whose letters are all declared are products (`xy`). A number with a text behind it is a
 * quantity (`3.5 "km/h"`).
 *
 * Answers are read with the conventions of handwriting as well: functions without brackets (`sin 2x cos x`, `sin² x`), which
 * take the product that follows, up to the next function; `|x|`; `e^x`; capital letters where only the small one is declared,
 * and the other way round.
 */
final class Parser
{
    private const DEEPEST = 60;
    private const WORDS = ['if', 'then', 'else', 'and', 'or', 'not', 'true', 'false'];

    private int $at = 0;
    private int $depth = 0;
    private int $bars = 0;

    /**
     * @param non-empty-list<Token> $tokens
     * @param list<string>|null     $names  what may be named; null: anything
     * @param Shorthand|null        $short  the conventions of handwriting, for answers
     */
    private function __construct(
        private array $tokens,
        private readonly Style $style,
        private readonly ?array $names,
        private readonly ?Shorthand $short = null,
    ) {
    }

    /**
     * @param list<string>|null $names what may be named; null: anything
     *
     * @throws FormulaError
     */
    public static function read(string $text, Style $style = Style::Point, ?array $names = null): Tree
    {
        return self::whole(new self(Lexer::tokens($text, $style), $style, $names));
    }

    /**
     * An expression as it is written by hand.
     *
     * @param list<string> $names
     *
     * @throws FormulaError
     */
    public static function readAnswer(string $text, Style $style, array $names): Tree
    {
        $short = new Shorthand($names);

        return self::whole(new self($short->expanded(Lexer::tokens($text, $style)), $style, $names, $short));
    }

    private static function whole(self $parser): Tree
    {
        if ($parser->token()->kind === Token::END) {
            throw new FormulaError('There is nothing here.');
        }
        $tree = $parser->expression();
        $rest = $parser->token();
        if ($rest->kind !== Token::END) {
            throw new FormulaError(
                sprintf('“%s” does not fit here.', $rest->text),
                $rest->at,
                $rest->is(')', ']') ? 'Is there one bracket too many?' : 'An operator such as + or × was expected.',
            );
        }

        return $tree;
    }

    private function token(int $ahead = 0): Token
    {
        return $this->tokens[min($this->at + $ahead, count($this->tokens) - 1)];
    }

    private function take(): Token
    {
        return $this->tokens[min($this->at++, count($this->tokens) - 1)];
    }

    private function expect(string $sign, string $why): void
    {
        $token = $this->token();
        if (!$token->is($sign) && !$token->isWord($sign)) {
            throw new FormulaError(
                sprintf(
                    '“%s” was expected%s.',
                    $sign,
                    $token->kind === Token::END ? ' before the end' : sprintf(', not “%s”', $token->text),
                ),
                $token->at,
                $why,
            );
        }
        ++$this->at;
    }

    /**
     * @template T
     *
     * @param \Closure(): T $read
     *
     * @return T
     */
    private function deeper(\Closure $read): mixed
    {
        if (++$this->depth > self::DEEPEST) {
            throw new FormulaError(sprintf('This is nested more than %d deep.', self::DEEPEST), $this->token()->at);
        }
        $result = $read();
        --$this->depth;

        return $result;
    }

    private function expression(): Tree
    {
        return $this->deeper(function (): Tree {
            $token = $this->token();
            if (!$token->isWord('if')) {
                return $this->either();
            }
            ++$this->at;
            $condition = $this->expression();
            $this->expect('then', 'Write: if … then … else …');
            $then = $this->expression();
            $this->expect('else', 'Write: if … then … else …');

            return new Tree('if', [$condition, $then, $this->expression()], null, $token->at);
        });
    }

    private function either(): Tree
    {
        $left = $this->both();
        while ($this->token()->isWord('or')) {
            $at = $this->take()->at;
            $left = new Tree('or', [$left, $this->both()], null, $at);
        }

        return $left;
    }

    private function both(): Tree
    {
        $left = $this->negation();
        while ($this->token()->isWord('and')) {
            $at = $this->take()->at;
            $left = new Tree('and', [$left, $this->negation()], null, $at);
        }

        return $left;
    }

    private function negation(): Tree
    {
        $token = $this->token();
        if (!$token->isWord('not')) {
            return $this->chain();
        }
        ++$this->at;

        return $this->deeper(fn (): Tree => new Tree('not', [$this->negation()], null, $token->at));
    }

    private function chain(): Tree
    {
        $first = $this->sum();
        $parts = [$first];
        $signs = [];
        $at = $this->token()->at;
        while ($this->token()->is('=', '<', '>', '<=', '>=', '<>')) {
            $signs[] = $this->take()->text;
            $parts[] = $this->sum();
        }

        return $signs === [] ? $first : new Tree('chain', $parts, implode(' ', $signs), $at);
    }

    private function sum(): Tree
    {
        $left = $this->product();
        while ($this->token()->is('+', '-')) {
            $sign = $this->take();
            $left = new Tree($sign->text, [$left, $this->product()], null, $sign->at);
        }

        return $left;
    }

    private function product(): Tree
    {
        $left = $this->signed();
        while (true) {
            $token = $this->token();
            if ($token->is('*', '/')) {
                ++$this->at;
                $left = new Tree($token->text, [$left, $this->signed()], null, $token->at);
            } elseif ($this->multipliesWithoutSign($token)) {
                $left = new Tree('*', [$left, $this->power()], null, $token->at);
            } else {
                return $left;
            }
        }
    }

    private function multipliesWithoutSign(Token $token): bool
    {
        if ($token->kind === Token::NAME) {
            return !in_array($token->text, self::WORDS, true);
        }
        if ($token->kind === Token::NUMBER) {
            // "2 3" is not six; "(x+1)2" and "x 2" are.
            $before = $this->tokens[$this->at - 1] ?? null;

            return $before !== null && $before->kind !== Token::NUMBER && $before->kind !== Token::TEXT;
        }

        return $token->is('(', '√') || ($token->is('|') && $this->bars === 0);
    }

    private function signed(): Tree
    {
        $token = $this->token();
        if (!$token->is('-', '+')) {
            return $this->power();
        }
        ++$this->at;

        return $this->deeper(fn (): Tree => $token->text === '-' ? new Tree('neg', [$this->signed()], null, $token->at) : $this->signed());
    }

    private function power(): Tree
    {
        $base = $this->postfix();
        $token = $this->token();
        if (!$token->is('^')) {
            return $base;
        }
        ++$this->at;
        $isE = $this->short !== null && $this->tokens[$this->at - 2]->isWord('e') && $base->op === 'call';

        return $this->deeper(fn (): Tree => $isE
            ? new Tree('call', [$this->exponent()], 'exp', $token->at)
            : new Tree('^', [$base, $this->exponent()], null, $token->at));
    }

    private function exponent(): Tree
    {
        $token = $this->token();
        if ($token->is('-', '+')) {
            ++$this->at;
            $inner = $this->deeper($this->exponent(...));

            return $token->text === '-' ? new Tree('neg', [$inner], null, $token->at) : $inner;
        }

        return $this->power();
    }

    private function postfix(): Tree
    {
        $tree = $this->primary();
        while (true) {
            $token = $this->token();
            if ($token->is('%')) {
                ++$this->at;
                $tree = new Tree('percent', [$tree], null, $token->at);
            } elseif ($token->is('.') && $this->token(1)->kind === Token::NAME) {
                ++$this->at;
                $tree = new Tree('member', [$tree], $this->take()->text, $token->at);
            } else {
                return $tree;
            }
        }
    }

    private function primary(): Tree
    {
        $token = $this->take();
        if ($token->kind === Token::NUMBER) {
            return $this->number($token);
        }
        if ($token->kind === Token::TEXT) {
            return new Tree('text', [], $token->text, $token->at);
        }
        if ($token->kind === Token::NAME && !in_array($token->text, ['if', 'then', 'else', 'and', 'or', 'not'], true)) {
            return $this->named($token);
        }
        if ($token->is('(')) {
            $inner = $this->expression();
            $this->expect(')', 'Close the bracket.');

            return $inner;
        }
        if ($token->is('[')) {
            return new Tree('list', $this->arguments(']'), null, $token->at);
        }
        if ($token->is('√')) {
            return $this->deeper(fn (): Tree => new Tree('call', [$this->postfix()], 'sqrt', $token->at));
        }
        if ($token->is('|') && $this->short !== null) {
            ++$this->bars;
            $inner = $this->deeper($this->sum(...));
            $this->expect('|', 'Close the bars.');
            --$this->bars;

            return new Tree('call', [$inner], 'abs', $token->at);
        }
        throw new FormulaError(
            $token->kind === Token::END ? 'Something is missing at the end.' : sprintf('“%s” does not fit here.', $token->text),
            $token->at,
            'A number, a name or a bracket was expected.',
        );
    }

    private function number(Token $token): Tree
    {
        $value = BigRational::of($token->text);
        $next = $this->token();
        $slash = $this->token(1);
        $under = $this->token(2);
        if ($token->whole && $next->kind === Token::NUMBER && str_contains($next->text, '/')) {
            // 2½
            ++$this->at;
            $value = $value->plus($next->text);
        } elseif ($token->whole
            && $next->kind === Token::NUMBER
            && $next->whole
            && $next->spaced
            && $slash->is('/')
            && $under->kind === Token::NUMBER
            && $under->whole
            && $under->text !== '0') {
            // 2 1/2
            $this->at += 3;
            $value = $value->plus(BigRational::nd($next->text, $under->text));
        }
        $tree = Tree::number($value, $token->at);
        $unit = $this->token();
        if ($unit->kind !== Token::TEXT) {
            return $tree;
        }
        ++$this->at;
        $known = Unit::named($unit->text) ?? throw new FormulaError(
            sprintf('“%s” is not a unit that is known here.', $unit->text),
            $unit->at,
        );

        return new Tree('quantity', [$tree], $known->symbol, $token->at);
    }

    private function named(Token $token): Tree
    {
        $name = $token->text;
        if ($this->token()->is('(') && Functions::has($name) && ($this->names === null || !in_array($name, $this->names, true))) {
            ++$this->at;
            $arguments = $this->arguments(')');
            Functions::expectCount($name, count($arguments), $token->at);

            return new Tree('call', $arguments, $name, $token->at);
        }
        if ($this->short?->isFunction($name) === true) {
            return $this->unbracketed($token);
        }
        if ($name === 'e' && $this->short !== null && !in_array('e', $this->names ?? [], true)) {
            return new Tree('call', [Tree::number(1)], 'exp', $token->at);
        }
        if (in_array($name, ['true', 'false', 'pi'], true) || $this->names === null || in_array($name, $this->names, true)) {
            return Tree::name($name, $token->at);
        }
        $letters = mb_str_split($name);
        if (count($letters) > 1 && count($letters) <= 12 && array_diff($letters, $this->names) === []) {
            return array_reduce(
                array_slice($letters, 1),
                static fn (Tree $left, string $letter): Tree => new Tree('*', [$left, Tree::name($letter, $token->at)], null, $token->at),
                Tree::name($letters[0], $token->at),
            );
        }
        throw new FormulaError(
            sprintf('“%s” is not known here.', $name),
            $token->at,
            Meant::by($name, $this->names),
        );
    }

    /** A function without brackets takes the product that follows, up to the next function or a sign. */
    private function unbracketed(Token $token): Tree
    {
        return $this->deeper(function () use ($token): Tree {
            $power = null;
            if ($this->token()->is('^')) {
                ++$this->at;
                $power = $this->exponent();
            }
            if ($this->token()->kind === Token::END) {
                throw new FormulaError(sprintf('Of what is %s taken?', $token->text), $token->at, sprintf('Write %s(x).', $token->text));
            }
            if ($this->token()->is('-')) {
                ++$this->at;
                $argument = new Tree('neg', [$this->factors()], null, $token->at);
            } else {
                $argument = $this->token()->is('(') ? $this->postfix() : $this->factors();
            }
            $call = new Tree('call', [$argument], $token->text, $token->at);

            return $power === null ? $call : new Tree('^', [$call, $power], null, $token->at);
        });
    }

    private function factors(): Tree
    {
        $left = $this->power();
        while ($this->multipliesWithoutSign($this->token()) && $this->short?->isFunction($this->token()->text) !== true) {
            $left = new Tree('*', [$left, $this->power()], null, $this->token()->at);
        }

        return $left;
    }

    /** @return list<Tree> */
    private function arguments(string $close): array
    {
        if ($this->token()->is($close)) {
            ++$this->at;

            return [];
        }
        $arguments = [$this->expression()];
        while ($this->token()->is($this->style->separator())) {
            ++$this->at;
            $arguments[] = $this->expression();
        }
        $this->expect($close, sprintf('Part the arguments with “%s”, and close the bracket.', $this->style->separator()));

        return $arguments;
    }
}
