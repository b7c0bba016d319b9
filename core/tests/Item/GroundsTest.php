<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\Alternative;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Type\Working\WorkingResponse;
use ChalkLadder\Core\Item\Veil;
use ChalkLadder\Core\Item\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is answered on a ground: a picture, a grid, a sheet to draw on. */
final class GroundsTest extends TestCase
{
    private const FILE = '0190a000-0000-7000-8000-000000000001';
    private const PICTURE = ['file' => self::FILE, 'width' => 800, 'height' => 500, 'alt' => 'The harbour'];
    private const CRITERIA = [['name' => 'Arrow', 'levels' => [['points' => '0', 'descriptor' => 'no'], ['points' => '1', 'descriptor' => 'yes']]]];
    private const LIGHTS = ['mode' => 'points', 'picture' => self::PICTURE, 'regions' => [
        ['id' => 'pier', 'name' => 'the light on the pier', 'ellipse' => ['100', '100', '20', '20']],
        ['id' => 'head', 'name' => 'Gannet Head', 'ellipse' => ['300', '100', '20', '20'], 'credit' => '0', 'misconception' => 'nearest'],
    ]];

    public function testAPointIsToldByThePlaceItFinds(): void
    {
        $item = self::item('spot', self::LIGHTS);
        $at = static fn (string $x, string $y): array => ['points' => [[$x, $y]]];

        $right = $item->check(ResponseReader::fromArray($at('105', '95')));
        self::assertSame([Verdict::Right, 'pier', 'the light on the pier'], [$right->verdict, $right->line, $right->readAs]);
        $wrong = $item->check(ResponseReader::fromArray($at('300', '100')));
        self::assertSame([Verdict::Wrong, 'head', ['nearest']], [$wrong->verdict, $wrong->line, $wrong->misconceptions]);
        self::assertSame('nothing named', $item->check(ResponseReader::fromArray($at('500', '400')))->readAs);
        self::assertSame('the light on the pier', $item->rule->key());
        self::assertSame(
            [['pier', '1', true, null], ['head', '2', false, 'nearest']],
            array_map(static fn (Alternative $a): array => [$a->id, $a->letter, $a->key, $a->misconception], $item->rule->alternatives()),
        );
        self::assertSame('Gannet Head', $item->rule->inWords(ResponseReader::fromArray($at('300', '100'))));
        self::assertSame('(500, 400)', $item->rule->inWords(ResponseReader::fromArray($at('500', '400'))));
        $near = ResponseReader::fromArray($at('99', '101'));
        self::assertSame(
            $item->rule->comparedBy($near, $item->check($near)),
            $item->rule->comparedBy(ResponseReader::fromArray($at('105', '95')), $right),
        );
    }

    public function testAFaceShowsThePictureAndNoRegion(): void
    {
        $face = self::item('spot', self::LIGHTS)->face(self::showing());
        self::assertSame(self::PICTURE, $face['picture']);
        self::assertStringNotContainsString('pier', json_encode($face, JSON_THROW_ON_ERROR));
        self::assertSame([self::FILE], self::item('spot', self::LIGHTS)->rule->files());
        self::assertSame([], self::item('spot', ['picture' => null] + self::LIGHTS)->rule->files());
    }

    public function testAGridSaysWithWhatItIsPlotted(): void
    {
        $face = self::item('plot', [
            'ground' => ['across' => ['label' => 'hours', 'to' => '6', 'snap' => '1/2'], 'up' => ['from' => '-1', 'to' => '5']],
            'targets' => [['kind' => 'upright', 'x' => '2'], ['kind' => 'point', 'x' => '1', 'y' => '1', 'credit' => '0']],
        ])->face(self::showing());
        self::assertSame(['point', 'line'], $face['tools']);
        self::assertSame([
            'across' => ['label' => 'hours', 'from' => '0', 'to' => '6', 'step' => '1', 'snap' => '1/2'],
            'up' => ['label' => '', 'from' => '-1', 'to' => '5', 'step' => '1', 'snap' => '1'],
            'curve' => false,
        ], $face['ground']);
        $line = self::item('plot', ['ground' => ['line' => true], 'targets' => [['kind' => 'interval', 'from' => '2', 'to' => '5']]])
            ->face(self::showing());
        self::assertSame(['interval'], $line['tools']);
        self::assertIsArray($line['ground']);
        self::assertArrayNotHasKey('up', $line['ground']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function grids(): iterable
    {
        $right = ['kind' => 'point', 'x' => '2', 'y' => '3'];
        yield 'whole' => [['targets' => [$right]], ''];
        yield 'nothing right' => [['targets' => [['credit' => '0'] + $right]], 'Nothing to plot earns full credit, so there is no key.'];
        yield 'beside' => [['targets' => [['x' => '11'] + $right]], 'The key (11, 3) lies outside of the grid.'];
        yield 'above' => [['targets' => [['y' => '-1'] + $right]], 'The key (2, -1) lies outside of the grid.'];
        yield 'no snap' => [['targets' => [['x' => '5/2', 'tolerance' => '1/4'] + $right]], 'The key (2.5, 3) is not where marks snap to.'];
        yield 'near a snap' => [['targets' => [['x' => '9/4', 'tolerance' => '1/4'] + $right]], ''];
        yield 'a line above a number line' => [
            ['ground' => ['line' => true], 'targets' => [['kind' => 'line', 'slope' => '1', 'intercept' => '-2']]],
            'The key y = x − 2 lies outside of the grid.',
        ];
        yield 'a stretch' => [
            ['ground' => ['line' => true], 'targets' => [['kind' => 'interval', 'from' => '2', 'to' => '12']]],
            'The key 2 to 12 lies outside of the grid.',
        ];
    }

    /** @param array<string, mixed> $rule */
    #[DataProvider('grids')]
    public function testAKeyThatNobodyCanPlotIsADefect(array $rule, string $defect): void
    {
        self::assertSame($defect === '' ? [] : [$defect], self::said(self::item('plot', $rule)->rule->defects()));
    }

    public function testWhatCannotBeDrawnOnIsADefect(): void
    {
        $own = ['criteria' => self::CRITERIA];
        self::assertSame([], self::said(self::item('working', $own)->rule->defects()));
        self::assertSame([], self::said(self::item('working', $own + ['ground' => 'picture', 'picture' => self::PICTURE])->rule->defects()));
        self::assertSame(
            ['It is to be drawn on a picture, but there is none.'],
            self::said(self::item('working', $own + ['ground' => 'picture'])->rule->defects()),
        );
        self::assertSame(
            ['No kind of file is allowed, so nothing can be handed in.'],
            self::said(self::item('upload', $own + ['kinds' => []])->rule->defects()),
        );
        self::assertSame(
            ['At least more words are asked for than at most.'],
            self::said(self::item('open', $own + ['least' => 50, 'most' => 49])->rule->defects()),
        );
        self::assertSame([], self::said(self::item('open', $own + ['least' => 50, 'most' => 50])->rule->defects()));
        self::assertSame(
            ['There is no picture to point at.'],
            self::said(self::item('spot', ['picture' => null] + self::LIGHTS)->rule->defects()),
        );
    }

    public function testADrawingIsReadStrokeByStroke(): void
    {
        $written = ['strokes' => [
            ['tool' => 'pen', 'colour' => 2, 'width' => 4, 'at' => 1200, 'points' => '100 200 0 3 -2 16 1 1 17'],
            ['tool' => 'words', 'colour' => 0, 'width' => 30, 'at' => 5000, 'points' => '10 20 0', 'text' => 'ebb '],
        ], 'files' => [self::FILE], 'text' => 'It falls.'];
        $response = ResponseReader::fromArray($written);

        self::assertInstanceOf(WorkingResponse::class, $response);
        self::assertSame($written, $response->toArray());
        self::assertSame([3, 1], array_map(static fn ($s): int => $s->length(), $response->strokes));
        self::assertSame([self::FILE], $response->files());
        $item = self::item('working', ['criteria' => self::CRITERIA]);
        self::assertSame('2 strokes, 1 file', $item->check($response)->readAs);
        self::assertSame('It falls. · ebb (2 strokes, 1 file)', $item->rule->inWords($response));
        $other = ResponseReader::fromArray(['strokes' => [['points' => '1 2 0']]]);
        self::assertSame('1 stroke', $item->rule->inWords($other));
        // Two drawings that the same words name are not to be marked as one.
        $like = ResponseReader::fromArray(['strokes' => [['points' => '9 9 0']]]);
        self::assertSame($item->rule->inWords($other), $item->rule->inWords($like));
        self::assertNotSame($item->rule->comparedBy($other, $item->check($other)), $item->rule->comparedBy($like, $item->check($like)));
        self::assertTrue((new WorkingResponse([]))->isBlank());
        self::assertSame(['text' => ''], (new WorkingResponse([]))->toArray());
        self::assertSame(Verdict::None, $item->check(new WorkingResponse([]))->verdict);
    }

    /** @return iterable<string, array{array<string, mixed>, string|null}> one stroke, and what is wrong with it */
    public static function strokes(): iterable
    {
        $pen = ['tool' => 'pen', 'points' => '1 2 0'];
        yield 'a dot' => [$pen, null];
        yield 'two numbers' => [['points' => '1 2'] + $pen, 'points'];
        yield 'five numbers' => [['points' => '1 2 0 4 5'] + $pen, 'points'];
        yield 'letters' => [['points' => '1 2 x'] + $pen, 'points'];
        yield 'a fraction' => [['points' => '1.5 2 0'] + $pen, 'points'];
        yield 'nothing' => [['points' => ''] + $pen, 'points'];
        yield 'two spaces' => [['points' => '1  2 0'] + $pen, 'points'];
        yield 'another tool' => [['tool' => 'brush'] + $pen, 'tool'];
        yield 'another colour' => [['colour' => 3] + $pen, 'colour'];
        yield 'no width' => [['width' => 0] + $pen, 'width'];
        yield 'before it began' => [['at' => -1] + $pen, 'at'];
        yield 'something else' => [['glow' => true] + $pen, 'glow'];
    }

    /** @param array<string, mixed> $stroke */
    #[DataProvider('strokes')]
    public function testAStrokeIsBounded(array $stroke, ?string $fault): void
    {
        try {
            $read = ResponseReader::fromArray(['strokes' => [$stroke]]);
            self::assertNull($fault);
            self::assertFalse($read->isBlank());
        } catch (DocumentInvalid $e) {
            self::assertContains('value.strokes.0.'.$fault, array_column($e->problems, 'path'));
        }
    }

    public function testADrawingHasBounds(): void
    {
        $stroke = static fn (int $points): array => ['points' => implode(' ', array_fill(0, $points, '1 1 1'))];
        $full = array_fill(0, 10, $stroke(3000));
        self::assertFalse(ResponseReader::fromArray(['strokes' => $full])->isBlank());
        $this->expectException(DocumentInvalid::class);
        $this->expectExceptionMessage('30000 points');
        ResponseReader::fromArray(['strokes' => [...$full, $stroke(1)]]);
    }

    public function testWhatIsSaidToAllIsNotScored(): void
    {
        $item = self::item('floor', []);
        $said = $item->check(ResponseReader::fromArray(['text' => 'Why is the sea salt?']));
        self::assertSame([Verdict::Said, '0', 'Why is the sea salt?'], [$said->verdict, (string) $said->credit, $said->readAs]);
        self::assertSame(Verdict::None, $item->check(ResponseReader::fromArray(['text' => ' ']))->verdict);
        self::assertFalse($item->type()->definition()->isScored());
    }

    /** @param array<string, mixed> $rule */
    private static function item(string $type, array $rule): Item
    {
        return ItemReader::read(['version' => 1, 'type' => $type, 'prompt' => '<p>Prompt</p>', 'points' => '1', 'rule' => $rule]);
    }

    private static function showing(): Showing
    {
        return new Showing(Veil::none(), 'seed', 'e1', false);
    }

    /**
     * @param list<Defect> $defects
     *
     * @return list<string>
     */
    private static function said(array $defects): array
    {
        return array_map(static fn (Defect $d): string => $d->message, $defects);
    }
}
