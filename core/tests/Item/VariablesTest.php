<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Formula\Effort;
use ChalkLadder\Core\Item\Distinctness;
use ChalkLadder\Core\Item\Draws;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Response\TextResponse;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class VariablesTest extends TestCase
{
    use TestTrait;

    public function testTheSameSeedGivesTheSameNumbersEverywhere(): void
    {
        $template = ItemTemplate::read(self::twelfths());
        $written = static fn (?array $values): array => array_map(
            strval(...),
            array_filter($values ?? [], static fn (mixed $v): bool => $v instanceof BigRational),
        );

        // Fixed figures: a change of the drawing would change what students have been given.
        self::assertSame(
            ['h' => '5', 'l' => '0.8', 't' => '4', 'fallen' => '9', 'range' => '4.2'],
            self::decimals($written($template->draw('student 1'))),
        );
        self::assertSame($written($template->draw('student 1')), $written(ItemTemplate::read(self::twelfths())->draw('student 1')));
        self::assertGreaterThan(
            5,
            count(array_unique(array_map(static fn (int $i): string => implode(' ', $written($template->draw("s$i"))), range(1, 30)))),
        );
    }

    public function testTheDrawsOfASeedComeOnceEachAndEndWhereNoneIsLeft(): void
    {
        $variables = ItemTemplate::read([
            'variables' => [['name' => 'h', 'choices' => ['4', '5', '6']], ['name' => 'l', 'choices' => ['0', '1']]],
            'constraints' => ['h - l < 5 or h - l > 5'],
            'prompt' => '<p>{h} − {l}?</p>',
            'rule' => ['unit' => '', 'unitUse' => 'none', 'targets' => [['value' => '= h - l', 'credit' => '1']]],
            'checks' => [],
        ] + self::twelfths())->variables;
        $draws = iterator_to_array($variables->draws('a seed', 2000, new Effort(100_000)));

        self::assertCount(6, $draws);
        self::assertCount(2, array_filter($draws, is_null(...)), '5 − 0 and 6 − 1 break the constraint');
        self::assertCount(4, array_unique(array_map(
            static fn (array $v): string => "{$v['h']} {$v['l']}",
            array_filter($draws, static fn (?array $v): bool => $v !== null),
        )));
        foreach ($draws as $try => $values) {
            self::assertEquals($variables->draw('a seed', $try), $values, 'what a try gives has not changed');
        }
        self::assertCount(3, iterator_to_array($variables->draws('a seed', 3, new Effort(100_000))));
    }

    public function testDistractorsComputeThemselvesAndCarryTheirIdea(): void
    {
        $template = ItemTemplate::read(self::twelfths());
        $values = $template->draw('student 1') ?? self::fail('There is a good draw.');
        $item = $template->item($values);

        self::assertSame('<p>High water 5 m, low water 0.8 m. How deep is it 4 hours after high water?</p>', $item->prompt);
        self::assertSame('right', $item->check(new TextResponse('1.85'))->verdict->value);
        self::assertSame(['idea-even'], $item->check(new TextResponse('2.2 m'))->misconceptions);
        self::assertSame(['idea-nosub'], $item->check(new TextResponse('3.15'))->misconceptions);
        self::assertSame('You wrote 9; the range is 4.2 m.', $item->check(new TextResponse('9'), $values)->feedback);
    }

    public function testADrawNeverViolatesAConstraintAndNeverLetsTwoValuesMeet(): void
    {
        $template = ItemTemplate::read(self::twelfths());
        $distinctness = new Distinctness($template);
        $this->limitTo(60)->forAll(Generators::string())->then(static function (string $seed) use ($template, $distinctness): void {
            $values = $template->draw($seed);
            self::assertNotNull($values);
            self::assertInstanceOf(BigRational::class, $values['range']);
            self::assertTrue($values['range']->isGreaterThanOrEqualTo(3));
            self::assertSame([], $distinctness->faults($values, new Effort(1_000_000)));
        });
    }

    public function testOfATableEachDrawTakesARow(): void
    {
        $document = [
            'variables' => [
                ['name' => 'vessel', 'columns' => ['ship', 'draught'], 'rows' => [['Brindle', '2.4'], ['Lapwing & Co', '1.8'], ['Osprey', '3']]],
                ['name' => 'tide', 'choices' => ['4', '5']],
                ['name' => 'room', 'is' => 'tide - draught'],
            ],
            'constraints' => ['ship <> "Osprey" or tide = 5'],
            'prompt' => '<p>The {ship} draws {draught} m. The tide stands at {tide} m. How much water is below her?</p>',
            'rule' => ['unit' => 'm', 'targets' => [['value' => '= tide - draught', 'credit' => '1'], ['value' => '= tide + draught', 'credit' => '0']]],
            'checks' => [['when' => 'ship = "Osprey" and answer = 9', 'credit' => '1/2', 'feedback' => 'Not the {ship}.']],
        ] + self::twelfths();
        $template = ItemTemplate::read($document);
        self::assertSame(6, $template->variables->combinations());
        self::assertSame(5, count(Draws::of($template)->seen), 'one row breaks the constraint with one tide');
        self::assertSame(['ship', 'draught', 'tide', 'room'], $template->variables->names());
        self::assertContains('draught', $template->formulas());
        self::assertNotContains('ship', $template->formulas(), 'words are shown, not worked out');
        $number = BigRational::of(...);
        $item = $template->item(['ship' => 'Lapwing & Co', 'draught' => $number('1.8'), 'tide' => $number(4), 'room' => $number('2.2')]);
        self::assertSame('<p>The Lapwing &amp; Co draws 1.8 m. The tide stands at 4 m. How much water is below her?</p>', $item->prompt);
        self::assertSame('right', $item->check(new TextResponse('2.2'))->verdict->value);
        $together = [];
        foreach (range(1, 40) as $seed) {
            $own = $template->own("s$seed");
            $together[implode(' ', array_map(strval(...), array_slice($own->numbers, 0, 2)))] = true;
            if ($own->numbers['ship'] === 'Osprey') {
                self::assertSame('Not the Osprey.', $own->check(new TextResponse('9'))->feedback);
            }
        }
        ksort($together);
        self::assertSame(['Brindle 12/5', 'Lapwing & Co 9/5', 'Osprey 3'], array_keys($together), 'what stands in a row stays together');
        self::assertEquals($template->draw('x'), ItemTemplate::read($template->toArray())->draw('x'));
    }

    /** @param array<string, mixed> $variable */
    #[DataProvider('brokenTables')]
    public function testATableThatIsNoneIsToldWhereItIsWrong(array $variable, string $path): void
    {
        try {
            ItemTemplate::read([
                'variables' => [['name' => 'v', ...$variable]],
                'constraints' => [],
                'checks' => [],
                'prompt' => '<p>?</p>',
                'rule' => ['targets' => [['value' => '1']]],
            ] + self::twelfths());
            self::fail('It should not be read.');
        } catch (DocumentInvalid $e) {
            self::assertSame($path, $e->problems[0]->path);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function brokenTables(): iterable
    {
        yield 'a row too short' => [['columns' => ['a', 'b'], 'rows' => [['1', '2'], ['1']]], 'variables.0.rows.1'];
        yield 'no row' => [['columns' => ['a'], 'rows' => []], 'variables.0.rows'];
        yield 'a column twice' => [['columns' => ['a', 'a'], 'rows' => [['1', '2']]], 'variables.0.columns'];
        yield 'a column called as the table' => [['columns' => ['v'], 'rows' => [['1']]], 'variables.0.columns'];
        yield 'too many rows' => [['columns' => ['a'], 'rows' => array_fill(0, 201, ['1'])], 'variables.0.rows'];
    }

    public function testTheWalkFindsWhatMustNotBeHandedOut(): void
    {
        $report = (new Distinctness(ItemTemplate::read(self::twelfths())))->report();
        self::assertTrue($report['exhaustive']);
        self::assertGreaterThan(0, $report['good']);
        // After three hours half of the range has fallen, even by the wrong idea.
        $third = array_values(array_filter(
            $report['faults'],
            static fn (array $f): bool => $f['message'] === 'values 1 and 2 lie within tolerance of each other',
        ));
        self::assertCount(1, $third);
        self::assertSame('3', $third[0]['example']['t']);

        $same = [
            'rule' => ['options' => [['id' => 'a', 'text' => '<p>{2h}</p>', 'key' => true], ['id' => 'b', 'text' => '<p>{h + 4}</p>']]],
            'type' => 'choice',
            'constraints' => [],
            'prompt' => '<p>{h}</p>',
            'variables' => [['name' => 'h', 'from' => '3', 'to' => '5']],
        ];
        $report = (new Distinctness(ItemTemplate::read($same + self::twelfths())))->report();
        self::assertSame([3, 2], [$report['draws'], $report['good']]);
        self::assertSame('options A and B say the same', $report['faults'][0]['message']);
        self::assertSame(['h' => '4'], $report['faults'][0]['example']);
    }

    public function testUglyValuesAndDivisionsByZeroAreFound(): void
    {
        $rule = [
            'rule' => ['targets' => [['value' => '= a / b']]],
            'type' => 'number',
            'prompt' => '<p>{a} by {b}?</p>',
            'decimals' => 1,
            'constraints' => [],
            'variables' => [['name' => 'a', 'choices' => ['6']], ['name' => 'b', 'from' => '0', 'to' => '7']],
            'checks' => [],
        ];
        $template = ItemTemplate::read($rule + self::twelfths());
        $report = (new Distinctness($template))->report();

        self::assertSame([8, 6], [$report['draws'], $report['draws'] - 2]);
        self::assertSame(
            ['This divides by zero', '“a / b” has more than 1 decimals'],
            self::sorted(array_column($report['faults'], 'message')),
        );
        self::assertSame(6, $report['good'], 'b = 0 divides by zero, b = 7 is ugly; 1, 2, 3, 4, 5 and 6 are fine');
        for ($i = 0; $i < 40; ++$i) {
            self::assertNotContains((string) ($template->draw("s$i")['b'] ?? ''), ['', '0', '7']);
        }
    }

    public function testADomainWithoutAGoodDrawIsADefect(): void
    {
        $never = ['variables' => [['name' => 'h', 'choices' => ['1', '2']]], 'constraints' => ['h > 5']];
        try {
            ItemTemplate::read($never + [
                'prompt' => '<p>{h}</p>',
                'rule' => ['targets' => [['value' => '= h']]],
                'checks' => [],
            ] + self::twelfths());
            self::fail('It was read.');
        } catch (DocumentInvalid $e) {
            self::assertStringContainsString('No combination', $e->problems[0]->message);
        }
        $clash = [
            'variables' => [['name' => 'h', 'choices' => ['2']]],
            'constraints' => [],
            'prompt' => '<p>{h}</p>',
            'rule' => ['targets' => [['value' => '= h'], ['value' => '= h^2 / 2', 'credit' => '0']]],
            'checks' => [],
        ];
        $template = ItemTemplate::read($clash + self::twelfths());
        self::assertNull($template->draw('any'));
        self::assertTrue((new Distinctness($template))->defects()[0]->blocks);
    }

    public function testALargeDomainIsSampledAndSaysSo(): void
    {
        $wide = array_map(static fn (string $name): array => ['name' => $name, 'from' => '1', 'to' => '60'], ['a', 'b', 'c']);
        $report = (new Distinctness(ItemTemplate::read([
            'variables' => $wide,
            'constraints' => [],
            'prompt' => '<p>{a} {b} {c}</p>',
            'rule' => ['targets' => [['value' => '= a + b + c']]],
            'checks' => [],
        ] + self::twelfths())))->report();

        self::assertFalse($report['exhaustive']);
        self::assertSame(10_000, $report['draws']);
    }

    public function testWhatIsWrongWithAVariableIsSaidAtItsPlace(): void
    {
        try {
            ItemTemplate::read([
                'variables' => [
                    ['name' => 'H', 'from' => '1', 'to' => '2'],
                    ['name' => 'x', 'is' => 'y + 1'],
                    ['name' => 'z', 'from' => '5', 'to' => '1'],
                ],
                'constraints' => ['q > 1'],
            ] + self::twelfths());
            self::fail('It was read.');
        } catch (DocumentInvalid $e) {
            self::assertSame(['variables.0.name', 'variables.1.is', 'variables.2.to', 'constraints.0'], array_column($e->problems, 'path'));
        }
    }

    /** @return array<string, mixed> */
    private static function twelfths(): array
    {
        return [
            'version' => 1, 'type' => 'number', 'title' => 'Rule of twelfths', 'points' => '2', 'decimals' => 2,
            'prompt' => '<p>High water {h} m, low water {l} m. How deep is it {t} hours after high water?</p>',
            'variables' => [
                ['name' => 'h', 'from' => '3.8', 'to' => '5', 'step' => '0.6'],
                ['name' => 'l', 'choices' => ['0.2', '0.8', '1.4']],
                ['name' => 't', 'choices' => ['1', '2', '3', '4', '5']],
                ['name' => 'fallen', 'is' => 'at([1, 3, 6, 9, 11], t)'],
                ['name' => 'range', 'is' => 'h - l'],
            ],
            'constraints' => ['range >= 3'],
            'rule' => ['unit' => 'm', 'unitUse' => 'optional', 'targets' => [
                ['value' => '= h - range * fallen / 12'],
                ['value' => '= h - range * t / 6', 'credit' => '0', 'misconception' => 'idea-even'],
                ['value' => '= range * fallen / 12', 'credit' => '0', 'misconception' => 'idea-nosub'],
            ]],
            'checks' => [['when' => 'answer > h', 'feedback' => 'You wrote {answer}; the range is {h - l} m.']],
        ];
    }

    /**
     * @param array<string> $fractions
     *
     * @return array<string>
     */
    private static function decimals(array $fractions): array
    {
        return array_map(static fn (string $f): string => \ChalkLadder\Core\Formula\NumberText::write(BigRational::of($f)), $fractions);
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        sort($texts);

        return $texts;
    }

    public function testWorkingOutDrawsIsBoundedWhateverIsWritten(): void
    {
        $variables = array_map(
            static fn (string $name): array => ['name' => $name, 'from' => '1', 'to' => '9', 'step' => '1'],
            range('a', 't'),
        );
        $long = implode('+', array_fill(0, 12, '(a^9*b^9*c^9/(d^9+e^9))'));
        $question = [
            'version' => 1,
            'type' => 'number',
            'title' => 'Long',
            'prompt' => '<p>'.str_repeat('{'.$long.'}', 40).'</p>',
            'points' => '1',
            'skill' => null,
            'hint' => '',
            'explanation' => '',
            'variables' => $variables,
            'constraints' => ['a > b'],
            'decimals' => 2,
            'rule' => ['targets' => [['value' => '= a/7', 'credit' => '1']]],
        ];
        $template = ItemTemplate::read($question);

        self::assertNull($template->draw('seed'), 'no draw is fit, and looking for one ends');
        $report = (new Distinctness($template))->report();
        self::assertFalse($report['exhaustive']);
        self::assertLessThan(10_000, $report['walked'], 'the walk ends before its usual length, and says so');
    }

    public function testDrawsAreSpreadOverAllCombinationsWithTheirFaults(): void
    {
        $template = ItemTemplate::read([
            'version' => 1, 'type' => 'number', 'title' => 'Range', 'prompt' => '<p>From {l} to {h}?</p>', 'points' => '1',
            'variables' => [
                ['name' => 'l', 'choices' => ['1', '2']],
                ['name' => 'r', 'choices' => ['0', '2', '4']],
                ['name' => 'h', 'is' => 'l + r'],
            ],
            'constraints' => ['h < 6'],
            'rule' => ['targets' => [['value' => '= h - l'], ['value' => '= h + l', 'credit' => '0'], ['value' => '= h / r', 'credit' => '0']]],
        ]);
        $draws = Draws::of($template);

        self::assertSame([6, 6], [$draws->combinations, $draws->looked]);
        self::assertCount(5, $draws->seen, 'one breaks the constraint');
        $first = $draws->seen[0];
        self::assertSame(['l' => '1', 'r' => '0', 'h' => '1'], array_map(strval(...), $first->numbers));
        self::assertSame([' h - l' => '0', ' h + l' => '2'], array_map(strval(...), array_diff_key($first->values, ['l' => 1, 'h' => 1])));
        self::assertNotSame([], $first->faults, 'nothing is divided by nought');
        $plain = array_diff_key($template->toArray(), ['variables' => 1, 'constraints' => 1]);
        self::assertSame([], Draws::of(ItemTemplate::read(['rule' => ['targets' => [['value' => '1']]], 'prompt' => '<p>?</p>'] + $plain))->seen);
    }

    public function testSignsOfAFormulaMayStandInRichTextAsEntities(): void
    {
        $template = ItemTemplate::read([
            'version' => 1, 'type' => 'number', 'title' => '', 'prompt' => '<p>{h &#43; l &lt; 9} and {h &#43; l}</p>', 'points' => '1', 'skill' => null,
            'variables' => [['name' => 'h', 'choices' => ['3']], ['name' => 'l', 'choices' => ['4']]],
            'rule' => ['targets' => [['value' => '= h + l']]],
        ]);
        self::assertStringContainsString(' and 7</p>', $template->sample()->prompt);
    }
}
