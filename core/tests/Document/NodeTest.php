<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Document;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Document\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NodeTest extends TestCase
{
    public function testReadsWhatIsThere(): void
    {
        $node = new Node([
            'title' => 'Tides',
            'shuffle' => true,
            'attempts' => 2,
            'kind' => 'open',
            'points' => '7/2',
            'tags' => ['a', 'b'],
            'names' => ['x' => 'depth'],
        ]);

        self::assertSame('Tides', $node->text('title', 10));
        self::assertTrue($node->bool('shuffle', false));
        self::assertSame(2, $node->int('attempts', 1, 5));
        self::assertSame('open', $node->oneOf('kind', ['choice', 'open']));
        self::assertSame('7/2', (string) $node->rational('points', '0', '10'));
        self::assertSame(['a', 'b'], $node->texts('tags', 2, 1));
        self::assertSame(['x' => 'depth'], $node->textMap('names', 1, 5));
        $node->rejectUnknown();
        $node->finish();
    }

    public function testWhatIsAbsentTakesItsDefaultAndWhatHasNoneIsRequired(): void
    {
        $node = new Node([]);

        self::assertSame('', $node->text('title', 10, ''));
        self::assertNull($node->textOrNull('picture', 10));
        self::assertTrue($node->bool('shuffle', true));
        self::assertSame(3, $node->int('attempts', 1, 5, 3));
        self::assertSame('open', $node->oneOf('kind', ['choice', 'open'], 'open'));
        self::assertSame('1/3', (string) $node->rational('points', '0', '10', '2/6'));
        self::assertSame([], $node->children('sections', 3));
        self::assertFalse($node->has('route'));
        $node->finish();

        $node->text('title', 10);
        self::assertSame(['title' => 'This is required.'], self::problems($node));
    }

    public function testOnePassFindsEverythingThatIsWrong(): void
    {
        $node = new Node(['title' => 7, 'attempts' => 9, 'kind' => 'other', 'shuffle' => 'yes']);
        $node->text('title', 10);
        $node->int('attempts', 1, 5);
        $node->oneOf('kind', ['choice', 'open']);
        $node->bool('shuffle', false);

        self::assertSame([
            'title' => 'This must be text.',
            'attempts' => 'This must be a whole number from 1 to 5.',
            'kind' => 'This must be one of: choice, open.',
            'shuffle' => 'This must be true or false.',
        ], self::problems($node));
    }

    public function testTheFirstProblemIsTheMessage(): void
    {
        $node = new Node(['a' => 1, 'b' => 2]);
        $node->text('a', 5);
        $node->text('b', 5);

        $this->expectException(DocumentInvalid::class);
        $this->expectExceptionMessage('a: This must be text.');
        $node->finish();
    }

    public function testPathsLeadThroughListsAndObjects(): void
    {
        $node = new Node(['sections' => [['entries' => [['id' => 'e1'], ['id' => 5], 'no object']]]]);
        foreach ($node->children('sections', 5) as $section) {
            foreach ($section->children('entries', 5) as $entry) {
                $entry->text('id', 36);
            }
        }

        self::assertSame([
            'sections.0.entries.2' => 'This must be an object.',
            'sections.0.entries.1.id' => 'This must be text.',
            'sections.0.entries.2.id' => 'This is required.',
        ], self::problems($node));
    }

    public function testWhatNobodyAskedForIsRefusedWhereItStands(): void
    {
        $node = new Node(['id' => 'x', 'style' => 'bold', 'route' => ['below' => '1/2', 'colour' => 'red']]);
        $node->text('id', 5);
        $route = $node->child('route');
        $route->rational('below', '0', '1');
        $route->rejectUnknown();
        $node->rejectUnknown();

        self::assertSame(['route.colour' => 'This is not known here.', 'style' => 'This is not known here.'], self::problems($node));
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function notNumbers(): iterable
    {
        $form = 'This must be a number such as 2, 0.5 or 1/3.';
        yield 'words' => ['two', $form];
        yield 'nothing' => [null, $form];
        yield 'a list' => [[1], $form];
        yield 'an exponent, which could be huge' => ['1e9', $form];
        yield 'a line break at the end' => ["1\n", $form];
        yield 'too many digits' => [str_repeat('9', 13), $form];
        yield 'a fraction over nothing' => ['1/0', 'A fraction cannot have 0 below the line.'];
        yield 'too little' => ['-1', 'This must lie between 0 and 100.'];
        yield 'a hair too much' => ['100.000000000001', 'This must lie between 0 and 100.'];
    }

    #[DataProvider('notNumbers')]
    public function testANumberIsRefused(mixed $value, string $message): void
    {
        $node = new Node(['points' => $value]);

        self::assertSame('0', (string) $node->rational('points', '0', '100'));
        self::assertSame(['points' => $message], self::problems($node));
    }

    public function testANumberIsExactHoweverItIsWritten(): void
    {
        $node = new Node(['a' => 2, 'b' => 0.1, 'c' => '0.10', 'd' => '10/100', 'e' => '-3/9']);

        self::assertSame(
            ['2', '1/10', '1/10', '1/10', '-1/3'],
            array_map(static fn (string $key): string => (string) $node->rational($key, '-5', '5'), ['a', 'b', 'c', 'd', 'e']),
        );
        $node->finish();
    }

    public function testTextIsBoundedByCharactersAndMustBeUnicode(): void
    {
        $node = new Node(['fits' => 'Ebbe–Flöß', 'long' => 'Ebbe–Flöße', 'broken' => "\xC3\x28"]);

        self::assertSame('Ebbe–Flöß', $node->text('fits', 9));
        self::assertSame('Ebbe–Flöße', $node->text('long', 9), 'what was typed is kept, to be shown beside the message');
        self::assertSame('', $node->text('broken', 9));
        self::assertSame(
            ['long' => 'This is 10 characters long; at most 9 are kept.', 'broken' => 'This text is not valid UTF-8.'],
            self::problems($node),
        );
    }

    public function testListsAreBounded(): void
    {
        $node = new Node([
            'sections' => [[], [], []],
            'tags' => ['a', 'b', 'c'],
            'names' => ['a' => 'x', 'b' => 'y'],
            'keyed' => ['a' => []],
            'mixed' => ['a', 5, 'long'],
        ]);

        self::assertCount(2, $node->children('sections', 2));
        self::assertSame([], $node->texts('tags', 2, 5));
        self::assertSame([], $node->textMap('names', 1, 5));
        self::assertSame([], $node->children('keyed', 2));
        self::assertSame(['a'], $node->texts('mixed', 5, 3));
        self::assertSame([
            'sections' => 'There are 3 here; at most 2 are allowed.',
            'tags' => 'This must be a list of at most 2 texts.',
            'names' => 'This must be an object of at most 1 texts.',
            'keyed' => 'This must be a list.',
            'mixed.1' => 'This must be text of at most 3 characters.',
            'mixed.2' => 'This must be text of at most 3 characters.',
        ], self::problems($node));
    }

    public function testAPlaceThatIsNoObjectIsReadAsEmpty(): void
    {
        foreach ([null, 'text', 5, true] as $value) {
            $child = (new Node(['route' => $value]))->child('route');
            $child->text('then', 5);

            self::assertSame(
                ['route' => 'This part is missing or is not an object.', 'route.then' => 'This is required.'],
                self::problems($child),
            );
        }
    }

    /** @return array<string, string> message by path, in the order found */
    private static function problems(Node $node): array
    {
        try {
            $node->finish();
        } catch (DocumentInvalid $invalid) {
            return array_combine(
                array_map(static fn (Problem $p): string => $p->path, $invalid->problems),
                array_map(static fn (Problem $p): string => $p->message, $invalid->problems),
            );
        }

        return [];
    }
}
