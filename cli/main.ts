import { runCommand } from './run';

const { code, out, err } = await runCommand(process.argv.slice(2));
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = code;
