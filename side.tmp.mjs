import sharp from 'sharp';
const [out, ...files] = process.argv.slice(2);
const metas = await Promise.all(files.map(f => sharp(f).metadata()));
const h = Math.max(...metas.map(m=>m.height)); let x=0; const comp=[];
for (let i=0;i<files.length;i++){comp.push({input:files[i],left:x,top:0});x+=metas[i].width+10;}
await sharp({create:{width:x,height:h,channels:3,background:'#888'}}).composite(comp).png().toFile(out);
