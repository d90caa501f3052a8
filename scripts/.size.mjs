import { build } from 'vite'; import { gzipSync } from 'node:zlib'; import fs from 'node:fs'; import path from 'node:path';
const folder=fs.mkdtempSync('/work/main/node_modules/.sz-');
for(const code of process.argv.slice(2)){ const entry=path.join(folder,'e.js'); fs.writeFileSync(entry,code);
 const [{output}]=[await build({root:folder,configFile:false,logLevel:'error',define:{'process.env.NODE_ENV':'"production"'},build:{write:false,minify:true,target:'es2022',modulePreload:false,rolldownOptions:{input:entry,preserveEntrySignatures:'strict',output:{format:'es',entryFileNames:'e.js'},external:[/^react/]}}})].flat();
 const t=output.map(o=>o.code??'').join(''); console.log(gzipSync(t,{level:9}).length,t.length,code); fs.writeFileSync('/tmp/last-bundle.js',t);
 const mods=output[0].modules; for(const [m,i] of Object.entries(mods).sort((a,b)=>b[1].renderedLength-a[1].renderedLength)) if(process.env.V) console.log('  ',i.renderedLength,path.relative('/work/main/packages/fair-trail/dist',m)); }
fs.rmSync(folder,{recursive:true});
