<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NoteReader;
use ChalkLadder\Core\Item\Notation\NoteWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NotationTest extends TestCase
{
    private static function names(): Names
    {
        return new Names(
            ['s1' => 'Rule of twelfths', 's2' => 'Chart scale'],
            ['m1' => 'Tide falls evenly', 'm2' => 'Multiplies instead of dividing by the scale'],
        );
    }

    /** @return array<string, mixed> the one question of these notes */
    private static function one(string $text): array
    {
        $read = NoteReader::read($text, self::names());
        self::assertCount(1, $read);
        self::assertSame([], array_map(static fn ($f): string => $f->at.': '.$f->getMessage(), $read[0]->faults));

        return $read[0]->document ?? [];
    }

    /** @param array<array-key, mixed> $of what stands at rule.options.0.text */
    private static function at(array $of, string $path): mixed
    {
        return array_reduce(explode('.', $path), static fn (mixed $in, string $key): mixed => is_array($in) ? $in[$key] ?? null : null, $of);
    }

    /**
     * @param array<array-key, mixed> $of
     *
     * @return list<mixed> one member of each part of a list; of several members a list each
     */
    private static function each(array $of, string $path, string ...$members): array
    {
        $list = self::at($of, $path);
        self::assertIsArray($list);
        $pick = static fn (mixed $one): mixed => is_array($one)
            ? (count($members) === 1 ? $one[$members[0]] ?? null : array_map(static fn (string $m): mixed => $one[$m] ?? null, $members))
            : null;

        return array_values(array_map($pick, $list));
    }

    public function testOptionsWearATickACrossOrAShare(): void
    {
        $item = self::one(<<<'E'
            How high is the tide two hours after high water? [2]
            v 4.2 m
            x 3.9 m ! Count twelfths, not hours. # tide falls evenly
            1/2 about 4 m
            E);
        self::assertSame('choice', $item['type']);
        self::assertSame('2', $item['points']);
        self::assertSame('<p>How high is the tide two hours after high water?</p>', $item['prompt']);
        self::assertSame('How high is the tide two hours after high water?', $item['title']);
        self::assertEquals([
            ['id' => 'a', 'text' => '<p>4.2 m</p>', 'key' => true, 'feedback' => '', 'misconception' => null],
            ['id' => 'b', 'text' => '<p>3.9 m</p>', 'key' => false, 'feedback' => 'Count twelfths, not hours.', 'misconception' => 'm1'],
            ['id' => 'c', 'text' => '<p>about 4 m</p>', 'key' => false, 'feedback' => '', 'misconception' => null, 'credit' => '1/2'],
        ], self::at($item, 'rule.options'));
        self::assertFalse(self::at($item, 'rule.several'));
        self::assertTrue(self::at(self::one("Which?\nv a\nv b\nx c"), 'rule.several'), 'two ticks: several may be picked');
    }

    public function testWhatStandsBehindAnEqualsSignIsANumberOrWords(): void
    {
        $number = self::one("How far?\n= 3,65 ± 0.05 km\nx = 7/2 km # multiplies instead of dividing by the scale");
        self::assertSame('number', $number['type']);
        self::assertSame('km', self::at($number, 'rule.unit'));
        self::assertSame(
            [['73/20', '1/20', 'absolute', '1', null], ['7/2', '0', 'absolute', '0', 'm2']],
            self::each($number, 'rule.targets', 'value', 'tolerance', 'kind', 'credit', 'misconception'),
        );
        $kinds = self::one("How far?\n= 3 to 5 m\n= 20 ± 5 %\n= 3.14 to 3 figures\n= 2.5 to 1 decimals");
        self::assertSame(
            [['3', '2', 'range'], ['20', '1/20', 'relative'], ['157/50', '3', 'figures'], ['5/2', '1', 'decimals']],
            self::each($kinds, 'rule.targets', 'value', 'tolerance', 'kind'),
        );
        $words = self::one("What is the falling tide called?\n= ebb\n1/2 = ebbing ! Nearly.\nx = flood");
        self::assertSame('text', $words['type']);
        self::assertSame(['ebb', 'ebbing', 'flood'], self::each($words, 'rule.forms', 'text'));
        self::assertSame(['1', '1/2', '0'], self::each($words, 'rule.forms', 'credit'));
        self::assertSame('text', self::one("In which year?\nas text\n= 1066")['type'], 'said outright');
    }

    public function testEveryTextLikeTypeHasItsSign(): void
    {
        $types = [
            'expression' => "Expand.\n== (x + 1)^2\nx == x^2 + 1",
            'gaps' => "Fill in.\n> After high water comes the [ebb / x flood # tide falls evenly]. It falls [3.1 ± 0.1 m].",
            'order' => "In order.\n1. high water\n2. ebb\n3. low water",
            'match' => "Which side?\nred -> port\ngreen -> starboard\n-> stern\nx red -> starboard # tide falls evenly",
            'table' => "Fill in.\n| Hour | Fall |\n| 1 | [0.3 m] |\n| 2 | [0.6 m / x 0.5 m # tide falls evenly] |",
            'open' => "Why? [2]\nmark for Cause\n0: nothing\n2: names the moon",
            'floor' => "What do you think?\nsaid to all",
        ];
        foreach ($types as $type => $notes) {
            $item = self::one($notes);
            self::assertSame($type, $item['type'], $notes);
            $defects = ItemTemplate::read($item)->defects();
            self::assertSame([], array_filter($defects, static fn ($d): bool => $d->blocks && $type !== 'floor'), $notes);
        }
        $gaps = self::one($types['gaps']);
        self::assertSame('After high water comes the [g1]. It falls [g2].', self::at($gaps, 'rule.passage'));
        self::assertSame(['text', 'number'], self::each($gaps, 'rule.gaps', 'type'));
        $match = self::one($types['match']);
        self::assertSame([['ta', 'pa'], ['tb', 'pb']], self::at($match, 'rule.key'));
        self::assertSame(['<p>port</p>', '<p>starboard</p>', '<p>stern</p>'], self::each($match, 'rule.places', 'text'));
        self::assertSame('m1', self::at($match, 'rule.lines.0.misconception'));
    }

    public function testLinesAroundTheKeySayTheRest(): void
    {
        $item = self::one(<<<'E'
            title: Twelfths
            skill: rule of twelfths
            let h = 3.6 to 5 step 0.2
            let l = 0.4, 0.8
            let fall = h - l
            let vessel(ship, draught) = Brindle, 2.4; Lapwing, 1,8
            where fall > 3
            decimals: 2
            ask how sure
            hint: How many twelfths go in the first hour?
            hint 1/4: One.
            because: The fall is $\frac{1}{12}$ of {fall} m.
            go back to lesson 4: 1, 2, 3, 3, 2, 1
            when within(answer, h, 0.01) then x ! You forgot to subtract. # tide falls evenly
            High water is {h} m, low water {l} m. How high is it an hour later? [3]
            = {h - fall / 12} ± 0.05 m
            with unitUse = "required"
            E);
        self::assertSame(['Twelfths', 's1', '3', 2, true], [$item['title'], $item['skill'], $item['points'], $item['decimals'], $item['confidence']]);
        self::assertSame([
            ['name' => 'h', 'from' => '3.6', 'to' => '5', 'step' => '0.2'],
            ['name' => 'l', 'choices' => ['0.4', '0.8']],
            ['name' => 'fall', 'is' => 'h - l'],
            ['name' => 'vessel', 'columns' => ['ship', 'draught'], 'rows' => [['Brindle', '2.4'], ['Lapwing', '1.8']]],
        ], $item['variables']);
        self::assertSame(['fall > 3'], $item['constraints']);
        self::assertSame('<p>How many twelfths go in the first hour?</p>', $item['hint']);
        self::assertSame([['text' => '<p>One.</p>', 'cost' => '1/4']], $item['hints']);
        self::assertSame('<p>The fall is <span data-math="\frac{1}{12}"></span> of {fall} m.</p>', $item['explanation']);
        self::assertSame(['title' => 'lesson 4', 'text' => '<p>1, 2, 3, 3, 2, 1</p>'], $item['goBack']);
        self::assertSame(['when' => 'within(answer, h, 0.01)', 'credit' => '0', 'feedback' => 'You forgot to subtract.', 'misconception' => 'm1'], self::at($item, 'checks.0'));
        self::assertSame('= h - fall / 12', self::at($item, 'rule.targets.0.value'));
        self::assertSame('required', self::at($item, 'rule.unitUse'));
    }

    public function testFaultsAreToldByTheirLineAndTheOthersAreReadAllTheSame(): void
    {
        $read = NoteReader::read("Which?\nv a\nx b # tide fals evenly\n\nNo key here.\n\nHow far?\n= 3 m\nand then?\n\nWhat is it?\n= ebb", self::names());
        self::assertSame([1, 5, 7, 11], array_map(static fn ($q): int => $q->at, $read));
        $said = array_map(static fn ($q): array => array_map(static fn ($f): string => $f->at.': '.$f->getMessage(), $q->faults), $read);
        self::assertSame(['3: There is no misconception called “tide fals evenly”. Is “Tide falls evenly” meant?'], $said[0]);
        self::assertStringStartsWith('5: This question has no key.', $said[1][0]);
        self::assertStringStartsWith('9: This is no line of a key.', $said[2][0]);
        self::assertSame([], $said[3]);
        self::assertSame('text', $read[3]->document['type'] ?? null);
    }

    /** @return iterable<string, array{string}> what must end in words, and soon */
    public static function hostile(): iterable
    {
        yield 'five megabytes' => [str_repeat("Which?\nv a\nx b\n\n", 320_000)];
        yield 'a thousand questions' => [str_repeat("Which?\nv a\nx b\n\n", 1000)];
        yield 'one endless line' => ["Which?\nv ".str_repeat('a', 30_000)];
        yield 'no text' => ["\xff\xfe\x00v"];
        yield 'brackets' => ["Fill in.\n> ".str_repeat('[', 5000)];
        yield 'many gaps' => ["Fill in.\n> ".str_repeat('[a] ', 500)];
        yield 'a formula that never ends' => ["Which?\nlet h = 2\n= {9^9^9^9^9} m"];
        yield 'a type that is none' => ["How far?\nas riddle\n= 1"];
        yield 'broken JSON' => ["How far?\n= 1\nwith targets = [{"];
        yield 'a deep document' => ['document: '.str_repeat('[', 5000)];
    }

    #[DataProvider('hostile')]
    public function testBadNotesEndInWords(string $text): void
    {
        $read = NoteReader::read($text, self::names());
        self::assertNotSame([], array_merge(...array_map(static fn ($q): array => $q->faults, $read)));
        self::assertLessThanOrEqual(201, count($read));
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function questions(): iterable
    {
        foreach (array_keys(Rules::table()) as $rule) {
            yield $rule => [Rules::item($rule)->toArray()];
        }
        $rules = json_decode((string) file_get_contents(__DIR__.'/rules.json'), true);
        foreach (is_array($rules) ? $rules : [] as $name => $question) {
            if (is_array($question)) {
                yield "rules.json: $name" => [ItemTemplate::read($question + ['version' => 1, 'title' => 'A question', 'prompt' => '<p>What?</p>', 'points' => '1', 'skill' => null])->toArray()];
            }
        }
        $choice = Rules::item('one')->toArray();
        foreach ([
            'marks' => ['points' => '1/3'], 'no title' => ['title' => ''], 'no prompt' => ['prompt' => '', 'title' => ''],
            'a skill without a name' => ['skill' => 'zz'], 'brackets at the end' => ['prompt' => '<p>Which [of these]</p>'],
            'a prompt like a key' => ['prompt' => '<p>x is 3.</p><p>v is 4.</p><p>&#61; what?</p>'],
            'a prompt like a head' => ['prompt' => '<p>hint: think</p><p>let a &#61; 3</p>'],
            'signs' => ['prompt' => '<p>5 $ &amp; 3 &lt; 4 ! a # b</p>'],
            'a list' => ['prompt' => '<p>Which?</p><ul><li>one</li></ul>'],
            'two paragraphs of why' => ['explanation' => '<p>One.</p><p>Two.</p>'],
            'hints' => ['hint' => '', 'hints' => [['text' => '<p>Look.</p>', 'cost' => '1/2'], ['text' => '<p>a</p><p>b</p>', 'cost' => '0']]],
            'feedback with signs' => ['rule' => ['options' => [
                ['id' => 'q', 'text' => '<p>a ! b # c</p>', 'key' => true, 'feedback' => 'one # two', 'misconception' => null],
                ['id' => 'r', 'text' => '', 'key' => false, 'feedback' => "two\nlines", 'misconception' => 'gone'],
            ], 'several' => false, 'perOption' => true, 'keepLast' => true]],
            'a check on an option' => ['checks' => [['when' => 'answer = "b"', 'credit' => '1/2', 'feedback' => '', 'misconception' => 'm1']]],
        ] as $name => $change) {
            yield $name => [ItemTemplate::read($change + $choice)->toArray()];
        }
    }

    /** @param array<string, mixed> $document */
    #[DataProvider('questions')]
    public function testAQuestionThatIsWrittenAndReadIsTheSame(array $document): void
    {
        $text = NoteWriter::write($document, self::names());
        self::assertEquals(NoteWriter::renamed($document), self::one($text), $text);
    }

    /** What hands type is noted in lines, not as a document in disguise. */
    public function testWhatHandsTypeIsNotedInLines(): void
    {
        $notes = <<<'E'
            title: Twelfths
            skill: Rule of twelfths
            hint: One twelfth.
            How high is the tide? [2]
            v 4.2 m
            x 3.9 m ! Count twelfths. # Tide falls evenly

            E;
        self::assertSame($notes, NoteWriter::write(self::one($notes), self::names()));
        foreach (["What is it?\n= ebb\n", "How far?\n= 3.65 ± 0.05 km\nx = 3.5 km\n", "In order.\n1. high water\n2. ebb\n", "Side?\nred -> port\n-> stern\n", "Fill in.\n> The [ebb] falls [3.1 m].\n"] as $plain) {
            self::assertSame($plain, NoteWriter::write(self::one($plain), self::names()));
        }
    }

    public function testWholeRandomQuestionsComeBackTheSame(): void
    {
        mt_srand(20261126);
        $words = ['ebb', 'x', 'v', '= 3', '1. one', '-> a', 'a -> b', '! b', '# c', '[2]', '| a |', '> b', '$x$', '\\', '5 $', '½', '<', 'hint: a', 'when a then b', '{h}', '  ', 'mark for', '0: a', "it's", '"q"', 'a & b'];
        $word = static fn (): string => $words[mt_rand(0, count($words) - 1)];
        $text = static fn (): string => implode(' ', array_map($word, range(0, mt_rand(0, 4))));
        $html = static fn (string $t): string => '<p>'.htmlspecialchars($t, ENT_QUOTES).'</p>';
        for ($i = 0; $i < 400; ++$i) {
            $option = static fn (string $id, bool $key): array => [
                'id' => $id, 'text' => $html($text()), 'key' => $key, 'feedback' => trim($text()), 'misconception' => mt_rand(0, 1) === 1 ? 'm1' : null,
            ];
            $rule = [
                ['choice', ['options' => [$option('a', true), $option('b', false)], 'several' => mt_rand(0, 1) === 1, 'perOption' => false, 'keepLast' => false]],
                ['text', ['forms' => [['text' => $text(), 'credit' => '1', 'feedback' => $text(), 'misconception' => null]]]],
                ['order', ['things' => [['id' => 'k', 'text' => $html($text())], ['id' => 'l', 'text' => $html($text())]], 'mode' => 'pairs']],
                ['match', ['things' => [['id' => 'k', 'text' => $html($text())]], 'places' => [['id' => 'l', 'text' => $html($text())]], 'key' => [['k', 'l']]]],
                ['gaps', ['passage' => str_replace(['[', ']'], '', $text()).' [h]', 'gaps' => [['id' => 'h', 'type' => 'text', 'rule' => ['forms' => [['text' => $text()]]]]]]],
            ][mt_rand(0, 4)];
            $document = ItemTemplate::read([
                'version' => 1, 'type' => $rule[0], 'title' => $text(),
                'prompt' => implode('', array_map(static fn () => $html($text()), range(0, mt_rand(0, 2)))),
                'points' => '2', 'skill' => null, 'hint' => mt_rand(0, 1) === 1 ? $html($text()) : '', 'explanation' => $html($text()), 'rule' => $rule[1],
            ])->toArray();
            $this->testAQuestionThatIsWrittenAndReadIsTheSame($document);
        }
    }
}
