import Module from 'node:module';

/**
 * Modules are required here. What is loaded when it is needed would be imported, and be another instance with a state of its own: it is
 * required too.
 */
const modules = Module.prototype as unknown as { _compile(content: string, ...more: unknown[]): unknown };
const compile = modules._compile;
modules._compile = function (content, ...more) {
  const [file] = more;
  const ours = typeof file === 'string' && file.includes('/web/src/');
  const required = ours
    ? content
        // A list of data is the default of its module.
        .replaceAll(/\bimport\(("[^"]+\.json")\)/g, 'Promise.resolve().then(()=>({default:require($1)}))')
        .replaceAll(/\bimport\(("[^"]+")\)/g, 'Promise.resolve().then(()=>require($1))')
    : content;
  return compile.call(this, required, ...more);
};
