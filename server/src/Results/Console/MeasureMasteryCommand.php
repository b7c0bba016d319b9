<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Paper\SkillMastery;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

#[AsCommand('measure:mastery', 'Who has shown a skill by a rule, and where everybody stands, in one sentence each.')]
final class MeasureMasteryCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument('answers', InputArgument::REQUIRED, 'CSV: student,<answer>,…; credit 0…1 in the order given; empty = none')
            ->addOption('rule', null, InputOption::VALUE_REQUIRED, 'JSON, such as {"kind": "streak", "right": 3}');
    }

    protected function measure(InputInterface $input): array
    {
        $name = is_string($input->getArgument('answers')) ? $input->getArgument('answers') : '';
        $rule = self::rule($input->getOption('rule'));
        $students = [];
        foreach (self::table($name)->rows as $row) {
            $credits = [];
            foreach (array_slice($row['cells'], 1) as $i => $cell) {
                if ($cell === '') {
                    continue;
                }
                $where = $name.':'.$row['line'].':'.($i + 2);
                $credit = self::number($cell, $where);
                if ($credit < 0.0 || $credit > 1.0) {
                    throw new \UnexpectedValueException("$where: credit lies between 0 and 1");
                }
                $credits[] = BigRational::of($cell);
            }
            $students[] = ['student' => $row['cells'][0], 'shown' => $rule->isShown($credits), 'sentence' => $rule->sentence($credits)];
        }

        return ['students' => $students];
    }

    private static function rule(mixed $written): SkillMastery
    {
        $json = is_string($written) ? json_decode($written, true, 8) : null;
        if (!is_array($json)) {
            throw new \UnexpectedValueException('--rule:1:1: a rule in JSON is needed, such as {"kind": "streak", "right": 3}');
        }
        try {
            $node = new Node($json);
            $rule = SkillMastery::read($node);
            $node->finish();

            return $rule;
        } catch (DocumentInvalid $e) {
            throw new \UnexpectedValueException('--rule:1:1: '.$e->getMessage());
        }
    }
}
