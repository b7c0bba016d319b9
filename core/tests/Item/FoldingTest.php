<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Item\EditDistance;
use ChalkLadder\Core\Item\Folding;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

final class FoldingTest extends TestCase
{
    use TestTrait;

    public function testFoldingTwiceChangesNothing(): void
    {
        $this->forAll(Generators::string(), Generators::bool(), Generators::bool())
            ->then(static function (string $text, bool $accents, bool $articles): void {
                $folding = new Folding(accents: $accents, articles: $articles);
                $text = 'The '.$text." \u{200B}É’s";
                self::assertSame($folding->fold($text), $folding->fold($folding->fold($text)));
            });
    }

    public function testASignBehindAnArticleIsReadAsOneThatStandsFirst(): void
    {
        self::assertSame('-7', (new Folding(articles: true))->fold('The - 7'));
    }

    public function testInvisibleAndDirectionMarksMeanNothing(): void
    {
        self::assertSame('ebb', (new Folding())->fold("\u{202E}e\u{200B}b\u{FEFF}b\u{202C}"));
    }

    public function testApostrophesInsideWordsAreNotSpaces(): void
    {
        self::assertSame((new Folding())->fold("pilot's log"), (new Folding())->fold('pilots log'));
    }

    public function testDistanceCountsASwapAsOneSlip(): void
    {
        self::assertSame(1, EditDistance::upTo('lamrock', 'lmarock', 3));
        self::assertSame(0, EditDistance::upTo('ebb', 'ebb', 0));
        self::assertSame(3, EditDistance::upTo('kitten', 'sitting', 3));
        self::assertSame(3, EditDistance::upTo('kitten', 'sitting', 2), 'beyond the limit it says limit + 1');
        self::assertSame(3, EditDistance::upTo('', 'abc', 3));
    }

    public function testDistanceIsSymmetricAndZeroOnlyForEquals(): void
    {
        $word = Generators::map(
            static fn (array $letters): string => implode('', array_map(static fn (mixed $l): string => is_string($l) ? $l : '', $letters)),
            Generators::seq(Generators::elements('a', 'b', 'é')),
        );
        $this->forAll($word, $word)->then(static function (string $a, string $b): void {
            self::assertSame(EditDistance::upTo($a, $b, 4), EditDistance::upTo($b, $a, 4));
            self::assertSame($a === $b, EditDistance::upTo($a, $b, 4) === 0);
        });
    }

    public function testALongHostileTextIsDecidedQuickly(): void
    {
        self::assertSame(3, EditDistance::upTo(str_repeat('ab', 50_000), str_repeat('ba', 50_000).'xyz', 2));
    }
}
