<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use ChalkLadder\Core\Formula\Equality;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Sampling;
use ChalkLadder\Core\Formula\Shape;
use ChalkLadder\Core\Formula\Tree;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AlgebraTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string, string, bool, bool}> a, b, equal, decided exactly */
    public static function pairs(): iterable
    {
        foreach ([
            ['(x+1)^2', 'x^2 + 2x + 1', true, true], ['(x+1)^2', 'x^2 + 1', false, true], ['2(x+3)', '6 + 2x', true, true],
            ['x/2', '0.5x', true, true], ['(x^2-1)/(x-1)', 'x+1', true, true],
            ['1/x + 1/y', '(x+y)/(x y)', true, true], ['x^-1', '1/x', true, true], ['2 pi x', 'pi x * 2', true, true],
            ['pi', '3.14159265358979', false, true], ['(x+y)^3 - (x-y)^3', '2y(3x²+y²)', true, true],
            ['sqrt(12)', '2 sqrt(3)', true, false], ['sqrt(x^2)', 'abs(x)', true, false], ['sqrt(x^2)', 'x', false, false],
            ['sin(x)^2 + cos(x)^2', '1', true, false], ['ln(x^2)', '2 ln(x)', true, false], ['2^x * 2^x', '4^x', true, false],
            ['y = 2x + 1', 'y - 2x = 1', true, true], ['y = 2x + 1', '2y = 4x + 2', true, true], ['y = 2x + 1', 'y = 2x', false, true],
            ['y = 1/x', 'x y = 1', true, true], ['x = 3', '3', false, true], ['x = 3', '3 = x', true, true],
        ] as $row) {
            yield $row[0].' and '.$row[1] => $row;
        }
    }

    #[DataProvider('pairs')]
    public function testEqualAsFunctions(string $a, string $b, bool $equal, bool $exact): void
    {
        $names = ['x', 'y'];
        $result = Equality::of(Parser::read($a, names: $names), Parser::read($b, names: $names));

        self::assertSame($equal, $result->equal);
        self::assertSame($exact, $result->exact);
    }

    public function testEqualityIsAnEquivalenceAndAgreesWithSampling(): void
    {
        $this->limitTo(150)->forAll(Generators::choose(0, PHP_INT_MAX))->then(static function (int $seed): void {
            $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
            [$a, $b, $c] = [Trees::algebra($random, 3), Trees::algebra($random, 3), Trees::algebra($random, 3)];
            // The same function, written otherwise: (a + b)(a − b) and a² − b².
            $one = new Tree('*', [new Tree('+', [$a, $b]), new Tree('-', [$a, $b])]);
            $two = new Tree('-', [new Tree('^', [$a, Tree::number(2)]), new Tree('*', [$b, $b])]);
            self::assertTrue(Equality::of($a, $a)->equal);
            self::assertSame(Equality::of($a, $b)->equal, Equality::of($b, $a)->equal);
            self::assertTrue(Equality::of($one, $two)->equal);
            self::assertNotFalse(Sampling::agree($one, $two));
            if (Equality::of($a, $b)->equal === true && Equality::of($b, $c)->equal === true) {
                self::assertTrue(Equality::of($a, $c)->equal);
            }
            self::assertSame(Equality::of($one, $c)->equal, Equality::of($two, $c)->equal);
            if (Equality::of($a, $b)->equal === false) {
                self::assertNotTrue(Sampling::agree($a, $b));
            }
        });
    }

    /** @return iterable<string, array{Shape, string, bool}> */
    public static function shapes(): iterable
    {
        foreach ([
            [Shape::Expanded, 'x^2 + 2x + 1', true], [Shape::Expanded, '(x+1)^2', false], [Shape::Expanded, 'x(x+2)', false],
            [Shape::Expanded, '2x + 3x', false], [Shape::Expanded, '-x + 1', true], [Shape::Expanded, '5', true],
            [Shape::Factorised, '(x+1)(x-1)', true], [Shape::Factorised, '(x+1)^2', true], [Shape::Factorised, 'x^2 - 1', false],
            [Shape::Factorised, '2x(x^2-1)', false], [Shape::Factorised, '(2x+4)(x+1)', false],
            [Shape::Factorised, '2(x+2)(x+1)', true], [Shape::Factorised, 'x(x+2)', true], [Shape::Factorised, '(x^2+1)(x+1)', true],
            [Shape::Factorised, 'x y (x + y)', true], [Shape::Factorised, 'x^2 + x', false],
            [Shape::SingleFraction, '(x+1)/(x-1)', true], [Shape::SingleFraction, '1/x + 1/y', false],
            [Shape::SingleFraction, '(1/x)/y', false], [Shape::SingleFraction, '-x/2', true],
            [Shape::Subject, 'h = v / a', true], [Shape::Subject, 'v/a = h', true], [Shape::Subject, 'v = a h', false],
            [Shape::Subject, 'h = h^2 + 1', false], [Shape::Subject, 'v/a', false],
            [Shape::Surd, '2√3', true], [Shape::Surd, '√12', false], [Shape::Surd, '√3/2', true], [Shape::Surd, '1 + 2√5', true],
            [Shape::Surd, '3.46', false], [Shape::Surd, '6/√3', false],
        ] as $row) {
            yield $row[0]->value.': '.$row[1] => $row;
        }
    }

    #[DataProvider('shapes')]
    public function testTheFormIsSeen(Shape $shape, string $expression, bool $fits): void
    {
        self::assertSame($fits, $shape->fits(Parser::read($expression, names: ['x', 'y', 'h', 'v', 'a']), 'h'));
    }
}
