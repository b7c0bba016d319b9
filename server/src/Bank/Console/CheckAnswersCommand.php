<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Console;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\ItemReader;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\ResponseReader;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Checks a file of responses against a question; the formats are in docs/formats/question.md. */
#[AsCommand('answers:check', 'Checks responses (one JSON object a line) against a question, and prints one JSON object a line.')]
final class CheckAnswersCommand extends Command
{
    private const BAD_INPUT = 2;

    protected function configure(): void
    {
        $this->addArgument('question', InputArgument::REQUIRED, 'The question, a JSON file')
            ->addArgument('responses', InputArgument::REQUIRED, 'The responses, one JSON object a line: {"id": …, "response": {…}}')
            ->addOption('seed', null, InputOption::VALUE_REQUIRED, 'For a question with variables: whose numbers', '1');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $question = self::path($input->getArgument('question'));
        $responses = self::path($input->getArgument('responses'));
        $seed = is_string($input->getOption('seed')) ? $input->getOption('seed') : '1';
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        try {
            [$item, $values] = $this->question($question, $seed);
            $file = is_file($responses) ? fopen($responses, 'r') : false;
            if ($file === false) {
                throw new \UnexpectedValueException("$responses: cannot be read");
            }
            for ($number = 1; ($line = fgets($file)) !== false; ++$number) {
                if (trim($line) !== '') {
                    $output->writeln($this->checked($item, $values, $line, "$responses:$number"));
                }
            }
            fclose($file);
        } catch (\UnexpectedValueException $e) {
            $errors->writeln($e->getMessage());

            return self::BAD_INPUT;
        }

        return self::SUCCESS;
    }

    /** @return array{Item, array<string, mixed>} the question, with a draw's numbers where it has variables */
    private function question(string $path, string $seed): array
    {
        $json = json_decode(is_file($path) ? (string) file_get_contents($path) : '', true, 64);
        if (!is_array($json)) {
            throw new \UnexpectedValueException(is_file($path)
                ? "$path:".self::faultyLine((string) file_get_contents($path)).': this is not JSON: '.json_last_error_msg()
                : "$path: cannot be read");
        }
        try {
            if (!ItemTemplate::isOne($json)) {
                return [ItemReader::read($json), []];
            }
            $template = ItemTemplate::read($json);
            $values = $template->draw($seed)
                ?? throw new \UnexpectedValueException("$path:1: no draw of its variables is fit to be handed out");

            return [$template->item($values), $values];
        } catch (DocumentInvalid $e) {
            throw new \UnexpectedValueException("$path:1: ".$e->getMessage());
        } catch (FormulaError $e) {
            throw new \UnexpectedValueException("$path:1: ".$e->sentence());
        }
    }

    /** @param array<string, mixed> $values */
    private function checked(Item $item, array $values, string $line, string $where): string
    {
        $json = json_decode($line, true, 32);
        if (!is_array($json) || !isset($json['id']) || !is_array($json['response'] ?? null)) {
            throw new \UnexpectedValueException("$where: expected {\"id\": …, \"response\": {…}}");
        }
        try {
            $outcome = $item->check(ResponseReader::fromArray($json['response']), $values);
        } catch (DocumentInvalid $e) {
            throw new \UnexpectedValueException("$where: ".$e->getMessage());
        }

        return json_encode([
            'id' => $json['id'], 'credit' => $outcome->credit === null
                ? null
                : (string) $outcome->credit, 'verdict' => $outcome->verdict->value, 'line' => $outcome->line, 'readAs' => $outcome->readAs,
            'feedback' => $outcome->feedback, 'misconception' => $outcome->misconceptions[0]
                ?? null, 'misconceptions' => $outcome->misconceptions,
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /** PHP does not say where; the end is where reading stopped at the latest. */
    private static function faultyLine(string $text): int
    {
        return substr_count(rtrim($text), "\n") + 1;
    }

    private static function path(mixed $argument): string
    {
        return is_string($argument) ? $argument : '';
    }
}
