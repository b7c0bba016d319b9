<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Tests\Bank;

use ChalkLadder\Server\Bank\Console\CheckAnswersCommand;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class CheckAnswersTest extends TestCase
{
    private const QUESTION = '{"version": 1, "type": "number", "prompt": "", "points": "1", "rule": {"targets": [{"value": "3.65", "tolerance": "0.01"}], "unit": "m"}}';

    public function testEachResponseGivesALine(): void
    {
        [$status, $lines] = $this->check(
            self::QUESTION,
            "{\"id\": 1, \"response\": {\"text\": \"365 cm\"}}\n\n{\"id\": \"b\", \"response\": {\"text\": \"4\"}}\n",
        );

        self::assertSame(0, $status);
        self::assertSame(
            '{"id":1,"credit":"1","verdict":"right","line":"target 1","readAs":"3.65 m","feedback":"","misconception":null,"misconceptions":[]}',
            $lines[0],
        );
        self::assertStringStartsWith('{"id":"b","credit":"0","verdict":"wrong"', $lines[1]);
    }

    public function testASeedChoosesTheNumbers(): void
    {
        $question = '{"version": 1, "type": "number", "prompt": "<p>{a} + 1?</p>", "points": "1", "variables": [{"name": "a", "from": "1", "to": "50"}], "rule": {"targets": [{"value": "= a + 1"}]}}';
        $responses = implode(
            "\n",
            array_map(static fn (int $i): string => sprintf('{"id": %d, "response": {"text": "%d"}}', $i, $i), range(2, 51)),
        );
        $right = fn (string $seed): array => array_values(array_filter(
            $this->check($question, $responses, $seed)[1],
            static fn (string $l): bool => str_contains($l, '"right"'),
        ));

        self::assertCount(1, $right('1'));
        self::assertSame($right('1'), $right('1'));
        self::assertGreaterThan(
            3,
            count(array_unique(array_merge(...array_map(static fn (int $s): array => $right((string) $s), range(1, 8))))),
        );
    }

    public function testBadInputSaysFileAndLine(): void
    {
        foreach ([
            ['{', '', 'question.json:1: this is not JSON'],
            [self::QUESTION, "{\"id\": 1, \"response\": {\"text\": \"1\"}}\nnonsense", 'responses.ndjson:2: expected'],
            [self::QUESTION, '{"id": 1, "response": {"text": 5}}', 'responses.ndjson:1: '],
            ['{"version": 1, "type": "riddle"}', '', 'question.json:1: type: This must be one of'],
        ] as [$question, $responses, $message]) {
            [$status, $lines] = $this->check($question, $responses);
            self::assertSame(2, $status);
            self::assertStringContainsString($message, implode("\n", $lines));
        }
    }

    /** @return array{int, list<string>} */
    private function check(string $question, string $responses, string $seed = '1'): array
    {
        $folder = sys_get_temp_dir().'/answers-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents("$folder/question.json", $question);
        file_put_contents("$folder/responses.ndjson", $responses);
        $tester = new CommandTester(new CheckAnswersCommand());
        $status = $tester->execute(['question' => "$folder/question.json", 'responses' => "$folder/responses.ndjson", '--seed' => $seed]);
        array_map(unlink(...), ["$folder/question.json", "$folder/responses.ndjson"]);
        rmdir($folder);

        return [$status, explode("\n", trim($tester->getDisplay()))];
    }
}
