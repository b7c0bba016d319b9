<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Exchange;

use ChalkLadder\Core\Exchange\QuestionTable;
use ChalkLadder\Core\Item\Notation\Names;
use ChalkLadder\Core\Item\Notation\NotedQuestion;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class QuestionTableTest extends TestCase
{
    public function testARowBecomesAQuestionOfTheKindThatItsAnswersTell(): void
    {
        $read = self::read("question,marks,right,wrong 1\n\"Which buoy, by day?\",2,red,green\nHow far?,1.5,3.5 ± 0.1 km,\nWhat ebbs?,,water,\n");

        self::assertSame(['choice', 'number', 'text'], array_map(static fn (NotedQuestion $q): mixed => $q->document['type'] ?? null, $read));
        self::assertSame(['2', '3/2', '1'], array_map(static fn (NotedQuestion $q): mixed => $q->document['points'] ?? null, $read));
        self::assertSame('Which buoy, by day?', strip_tags(self::text($read[0]->document['prompt'] ?? '')));
    }

    /** @return iterable<string, array{string, string}> */
    public static function faulty(): iterable
    {
        yield 'marks that are no number' => ["question,marks,right\nWhat?,many,water\n", '“many” is no number of marks. Write one such as 2 or 1.5.'];
        yield 'an unknown column' => [
            "question,points\nWhat?,1\n",
            'A column “points” is not known. There are: question, marks, title, skill, right, wrong 1, wrong 2 …, hint, because.',
        ];
        yield 'no question' => ["marks,right\n1,water\n", 'The first row names the columns. One of them must be “question”.'];
    }

    #[DataProvider('faulty')]
    public function testSaysWhatIsWrongAndInWhichLine(string $table, string $says): void
    {
        $faults = array_merge(...array_map(static fn (NotedQuestion $q): array => $q->faults, self::read($table)));

        self::assertSame([$says], array_map(static fn (\Throwable $f): string => $f->getMessage(), $faults));
    }

    /** @return list<NotedQuestion> */
    private static function read(string $table): array
    {
        return QuestionTable::read($table, new Names([], []));
    }

    private static function text(mixed $text): string
    {
        return is_string($text) ? $text : '';
    }
}
